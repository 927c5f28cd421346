import type { Browser, Page } from '@playwright/test'
import type { Job } from '../core/document/job'

/* A line of 200 posts in the browser: the next post, and the drawing held by a finger. */

const POSTS = 200
const STEPS = 30
const PAN_SECONDS = 3

export interface LongLineFigures {
  /** Key to picture, ms. */
  steps: number[]
  /** Frames that the browser drew in each second of panning. */
  framesPerSecond: number
  /** And while a hole is pulled on, everything planned anew. */
  pulledPerSecond: number
}

export async function longLineFigures(browser: Browser, address: string): Promise<LongLineFigures> {
  // In millimetres: in inches every other frame of a pull would have nothing new to draw.
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
  const answer = await page.request.post(`${address}/api/jobs/import`, { data: longLine() })
  const { id } = (await answer.json()) as { id: string }
  await page.goto(`${address}/jobs/${id}/look?post=K100`)
  await page.getByRole('heading', { name: 'K100: what do you see?' }).waitFor()
  const steps = await page.evaluate(stepTimes, STEPS)
  const framesPerSecond = await panned(browser, page)
  await page.goto(`${address}/jobs/${id}/hole?post=K99`)
  await page.getByRole('slider', { name: 'Depth of the hole' }).waitFor()
  const pulledPerSecond = await pulled(browser, page)
  await page.close()
  return { steps, framesPerSecond, pulledPerSecond }
}

function longLine(): Job {
  const posts = Array.from({ length: POSTS }, (_, i) => ({
    id: `K${i + 1}`,
    station: Math.round(i * 2.4e3) / 1e3,
    ageYears: 5 + (i % 12),
    groundLevel: Math.round(Math.sin(i / 9) * 400) / 1e3,
    observations:
      i % 7 === 0
        ? { pushPivot: 'at-ground-line' as const, probeAtGround: 0.03 }
        : { pushPivot: 'nothing-moves' as const },
  }))
  return {
    format: 'vindex-job',
    version: 1,
    name: 'Two hundred posts',
    lines: [{ id: 'K', kind: 'close-boarded', height: 1.8, posts }],
  }
}

/** In the page: the time from the key to the frame in which the drawing shows the next post. */
export async function stepTimes(steps: number): Promise<number[]> {
  const title = () => document.querySelector('h2')?.textContent ?? ''
  const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))
  const times: number[] = []
  for (let step = 0; step < steps; step++) {
    const before = title()
    const began = performance.now()
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }))
    while (title() === before) await frame()
    times.push(performance.now() - began)
  }
  return times
}

/** Holds the drawing and moves it to and fro; the browser's own trace counts the frames that it drew. */
async function panned(browser: Browser, page: Page): Promise<number> {
  await browser.startTracing(page, { categories: ['disabled-by-default-devtools.timeline.frame'] })
  await page.evaluate(async (seconds) => {
    const drawing = document.querySelector('[data-drawing]')!
    const { left, top, width } = drawing.getBoundingClientRect()
    const at = (type: string, x: number) =>
      drawing.dispatchEvent(
        new PointerEvent(type, { pointerId: 1, bubbles: true, clientX: left + width / 2 + x, clientY: top + 100 }),
      )
    at('pointerdown', 0)
    const began = performance.now()
    for (let now = began; now - began < seconds * 1e3; now = performance.now()) {
      at('pointermove', Math.sin((now - began) / 400) * 900)
      await new Promise((resolve) => requestAnimationFrame(resolve))
    }
    at('pointerup', 0)
  }, PAN_SECONDS)
  return framesTraced(browser)
}

/** Pulls the depth of a hole to and fro by its grip. */
async function pulled(browser: Browser, page: Page): Promise<number> {
  const grip = '[role=slider][aria-label="Depth of the hole"]'
  const pull = (seconds: number) =>
    page.evaluate(
      async ([selector, time]) => {
        const element = document.querySelector(selector)!
        const { left, top, width, height } = element.getBoundingClientRect()
        const at = (type: string, target: EventTarget, y: number) =>
          target.dispatchEvent(
            new MouseEvent(type, {
              bubbles: true,
              cancelable: true,
              view: window,
              clientX: left + width / 2,
              clientY: top + height / 2 + y,
            }),
          )
        let frames = 0
        at('mousedown', element, 0)
        const began = performance.now()
        for (let now = began; now - began < time * 1e3; now = performance.now()) {
          // Two pixels a frame, thirty frames down and thirty up: every frame has another depth to plan and to draw.
          at('mousemove', window, 2 * Math.abs((frames++ % 60) - 30))
          await new Promise((resolve) => requestAnimationFrame(resolve))
        }
        at('mouseup', window, 0)
      },
      [grip, seconds] as const,
    )
  // As warm as it is for whoever pulls on it.
  await pull(1)
  // What it wrote is on its way to the server, which is on this machine too.
  await page.getByText('all saved').waitFor()
  await browser.startTracing(page, { categories: ['disabled-by-default-devtools.timeline.frame'] })
  await pull(PAN_SECONDS)
  return framesTraced(browser)
}

async function framesTraced(browser: Browser): Promise<number> {
  const trace = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: { name: string; ts: number }[] }
  const drawn = trace.traceEvents.filter(({ name }) => name === 'DrawFrame').map(({ ts }) => ts)
  return ((drawn.length - 1) / (Math.max(...drawn) - Math.min(...drawn))) * 1e6
}
