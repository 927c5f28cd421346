// A reporter that prints the ten slowest tests with their time limits: one near its limit fails on a busy machine.
import { say } from './say.mjs'

const SHOWN = 10
/** A test is to end within this share of its limit on a machine at rest. */
const SHARE = 0.2

/** @param tests `{ name, duration, limit }`, ms */
export function saySlowest(tests) {
  const slowest = [...tests].sort((a, b) => b.duration - a.duration).slice(0, SHOWN)
  say(`the ${slowest.length} slowest tests, with their limits`)
  for (const { name, duration, limit } of slowest) {
    const seconds = `${(duration / 1e3).toFixed(1)} of ${(limit / 1e3).toFixed(0)} s`
    say(`  ${seconds.padStart(14)}${duration > SHARE * limit ? ' (near its limit)' : ''}  ${name}`)
  }
}

export default class SlowestReporter {
  onTestRunEnd(modules) {
    saySlowest(
      modules.flatMap((module) =>
        [...module.children.allTests()].map((test) => ({
          name: `${module.relativeModuleId} › ${test.fullName}`,
          duration: test.diagnostic()?.duration ?? 0,
          limit: test.options.timeout ?? test.project.config.testTimeout,
        })),
      ),
    )
  }
}
