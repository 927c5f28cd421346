/** Progress lines of the start and test commands. */
export function say(text) {
  process.stdout.write(`vindex: ${text}\n`)
}

/** Runs a slow step and says when it began and how long it took. */
export async function step(text, work) {
  const began = Date.now()
  say(`${text} …`)
  const result = await work()
  say(`${text}: ${((Date.now() - began) / 1000).toFixed(1)} s`)
  return result
}
