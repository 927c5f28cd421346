import type { StepPlan } from '~~/core/plan/steps'

/* What a step wants, in one line. */

const HANDS = ['', 'one', 'two people', 'three people', 'four people']
const DAY = 24

/** @example 'about 5 min; two people; after step 3; wait 31 h in ground at 10 °C (50 °F): rails and boards back then' */
export function stepFacts(step: StepPlan): string {
  const { minutes, hands, first } = step
  return [
    minutesWords(minutes),
    hands > 1 ? HANDS[hands] : undefined,
    first.length > 0 ? `after ${first.length > 1 ? 'steps' : 'step'} ${first.join(' and ')}` : undefined,
    ...waits(step),
  ]
    .filter(Boolean)
    .join('; ')
}

/** What the clock has to say of it, as a sentence; nothing where it has nothing. */
export function waitFacts(step: StepPlan): string {
  const words = waits(step).join('; ')
  return words && `${words[0]!.toUpperCase()}${words.slice(1)}.`
}

function waits({ after, within, leave }: StepPlan): string[] {
  return [
    after && `wait ${waitWords(after.hours)} in ground at 10 °C (50 °F): ${after.says} then`,
    within && `within ${Math.floor(within)} min of pouring`,
    leave && `then leave it ${leave >= 60 ? `${Math.round(leave / 60)} h` : `${leave} min`}`,
  ].filter((words): words is string => typeof words === 'string')
}

const minutesWords = (minutes: number) =>
  minutes < 2.5 ? 'a minute or two' : `about ${minutes < 12.5 ? Math.round(minutes) : Math.round(minutes / 5) * 5} min`

/** Hours, then days. @example waitWords(30) // '30 h' */
function waitWords(hours: number): string {
  if (hours < 1) return `${Math.ceil((hours * 60) / 5) * 5} min`
  return hours < 2 * DAY ? `${Math.ceil(hours)} h` : `${Math.ceil(hours / DAY)} days`
}
