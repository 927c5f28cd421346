import { build } from 'esbuild'
import { expect, test } from './test'
import { allFigures } from './figures'

/**
 * More digits than any screen shows. The two engines may round a power in its sixteenth digit
 * differently; nothing that is shown may differ.
 */
const DIGITS = 9
const shown = (figures: string) =>
  figures.replace(/-?\d+(\.\d+)?(e[+-]?\d+)?/g, (number) => Number(number).toPrecision(DIGITS))

test('the figures are the same in Node and in the worker of a browser, to the last digit shown', async ({ page }) => {
  const bundle = await build({
    stdin: {
      contents: `import { allFigures } from './figures'; self.onmessage = () => self.postMessage(allFigures())`,
      resolveDir: 'tests/end-to-end',
    },
    bundle: true,
    write: false,
    format: 'iife',
  })
  await page.goto('about:blank')
  const inWorker = await page.evaluate(
    (source) =>
      new Promise<string>((resolve, reject) => {
        const worker = new Worker(URL.createObjectURL(new Blob([source], { type: 'text/javascript' })))
        worker.onmessage = (event: MessageEvent<string>) => resolve(event.data)
        worker.onerror = (event) => reject(new Error(event.message))
        worker.postMessage('go')
      }),
    bundle.outputFiles[0]!.text,
  )
  const inNode = allFigures()
  expect(inNode.length).toBeGreaterThan(100_000)
  expect(shown(inWorker)).toBe(shown(inNode))
})
