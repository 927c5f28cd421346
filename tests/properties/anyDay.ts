import { fc } from '@fast-check/vitest'
import { SKILLS } from '../../core/document/vocabulary'
import { withoutDone } from '../../core/day/done'
import { DAY_MINUTES, type DayQuestion, type Person, type Task } from '../../core/day/question'

/* Any day that could be asked for: posts with their chains of work, a crew, tools, hours and weather. */

const minutes = (from: number, to: number) => fc.integer({ min: from, max: to })

const work = fc.record({
  prepare: minutes(5, 60),
  cut: minutes(5, 30),
  dig: minutes(10, 150),
  set: minutes(5, 20),
  placing: minutes(5, 45),
  works: fc.constantFrom(5, 20, 90),
  props: minutes(60, 1_500),
  boards: minutes(300, 3_000),
  pourHands: fc.constantFrom(1, 2),
  hasGate: fc.boolean(),
  hastens: fc.boolean(),
})
type Work = typeof work extends fc.Arbitrary<infer W> ? W : never

function tasksOf(post: string, of: Work, tools: DayQuestion['tools']): Task[] {
  const id = (step: string) => `${post}:${step}`
  const task = (step: string, more: Partial<Task>): Task => ({
    id: id(step),
    posts: [post],
    step,
    says: step,
    minutes: 5,
    hands: 1,
    skills: [],
    tools: {},
    after: [],
    ...more,
  })
  const level = (tools.level ?? 0) > 0 ? { level: 1 } : {}
  const mixer = (tools.mixer ?? 0) > 0 ? { mixer: 1 } : {}
  const milestone = (key: 'props' | 'boards' | 'gate', behind: string) => [
    { task: id('pour'), least: 0, milestone: key },
    { task: id(behind), least: 0 },
  ]
  return [
    task('prepare', { minutes: of.prepare }),
    task('cut', { minutes: of.cut, skills: ['saw'], after: [{ task: id('prepare'), least: 0 }], loosens: id('set') }),
    task('dig', { minutes: of.dig, skills: ['dig'], after: [{ task: id('cut'), least: 0 }], opens: id('pour') }),
    task('set', {
      minutes: of.set,
      tools: level,
      after: [{ task: id('dig'), least: 0 }],
      holds: { tool: 'props', until: id('off') },
    }),
    task('pour', {
      minutes: of.placing,
      hands: of.pourHands,
      skills: ['mix'],
      tools: { ...level, ...mixer },
      after: [{ task: id('set'), least: 0, ...(of.hastens ? { most: 900 } : {}) }],
      pour: {
        placing: of.placing,
        works: of.works,
        milestones: { props: of.props, boards: of.boards, gate: of.boards + 600, frostSafe: of.props / 2 },
      },
    }),
    task('off', { minutes: 3, after: milestone('props', 'pour') }),
    task('boards', { minutes: 15, after: milestone('boards', 'off') }),
    ...(of.hasGate ? [task('gate', { minutes: 25, after: milestone('gate', 'boards') })] : []),
  ]
}

const person = (id: string) =>
  fc.subarray([...SKILLS], { minLength: 2 }).map((skills): Person => ({ id, name: id, skills }))

export const anyDay: fc.Arbitrary<DayQuestion> = fc
  .record({
    posts: fc.array(work, { minLength: 1, maxLength: 4 }),
    crew: fc.tuple(person('C'), person('D')),
    tools: fc.record({ props: minutes(1, 4), level: minutes(1, 2), mixer: minutes(0, 1) }),
    hired: fc.option(fc.record({ from: minutes(480, 600), to: minutes(780, 1_020) }), { nil: undefined }),
    delivery: fc.option(minutes(500, 560), { nil: undefined }),
    temperature: minutes(-3, 31),
    swing: minutes(0, 6),
    gust: minutes(2, 14),
    rain: minutes(0, 3),
    free: fc.boolean(),
    flags: fc.record({ shaded: fc.boolean(), covered: fc.boolean() }),
    travel: minutes(0, 40),
    // Of each post so many steps are done already; what was poured carries what by then.
    begun: fc.array(
      fc.record({ steps: fc.constantFrom(0, 0, 0, 2, 3, 5, 6), at: minutes(-900, 0), carries: minutes(0, 3_000) }),
      {
        minLength: 4,
        maxLength: 4,
      },
    ),
  })
  .map(
    ({
      posts,
      crew,
      tools,
      hired,
      delivery,
      temperature,
      swing,
      gust,
      rain,
      free,
      flags,
      travel,
      begun,
    }): DayQuestion => {
      const days = 16
      const able = ['A', 'B'].map((id): Person => ({ id, name: id, skills: SKILLS }))
      const tasks = posts.flatMap((each, i) => tasksOf(`P${i + 1}`, each, tools))
      const done = posts.flatMap((_post, i) => {
        const { steps, at, carries } = begun[i]!
        const last = tasks.filter((task) => task.posts[0] === `P${i + 1}`)[steps - 1]
        return last
          ? [[last.id, { at, carries: { props: carries, boards: carries + 500, gate: carries + 900 } }] as const]
          : []
      })
      const brought: Task[] =
        delivery === undefined
          ? []
          : [
              {
                id: 'delivery',
                posts: [],
                step: 'delivery',
                says: 'take it in',
                minutes: 10,
                hands: 1,
                skills: [],
                tools: {},
                after: [],
                window: { from: delivery, to: delivery },
              },
            ]
      const all = [
        ...brought,
        ...tasks.map((task) =>
          task.pour && brought.length ? { ...task, after: [...task.after, { task: 'delivery', least: 0 }] } : task,
        ),
      ]
      const left = withoutDone(all, new Map(done))
      const outside = left.filter(({ givesBack }) => givesBack === 'props').length
      return {
        tasks: left,
        crew: [...able, ...crew],
        tools: { ...tools, props: Math.max(tools.props, outside) },
        hours: Array.from({ length: days }, (_, day) =>
          free && day === 1
            ? []
            : [
                { from: day * DAY_MINUTES + 480, to: day * DAY_MINUTES + 720 },
                { from: day * DAY_MINUTES + 750, to: day * DAY_MINUTES + 1_020 },
              ],
        ),
        hires: hired
          ? {
              mixer: Array.from({ length: days }, (_, day) => ({
                from: day * DAY_MINUTES + hired.from,
                to: day * DAY_MINUTES + hired.to,
              })),
            }
          : {},
        weather: Array.from({ length: 24 * 6 }, (_, hour) => ({
          temperature: temperature + swing * Math.cos((2 * Math.PI * (hour - 14)) / 24),
          gust: gust + 3 * Math.cos((2 * Math.PI * (hour - 20)) / 37),
          rain: hour % 11 < 2 ? rain : 0,
        })),
        before: new Array<number>(24).fill(temperature),
        setUp: 20,
        cleanUp: 20,
        travel,
        pins: [],
        ...flags,
      }
    },
  )
