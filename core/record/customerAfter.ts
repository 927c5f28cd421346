import type { Post } from '../document/job'
import { MILESTONES } from '../concrete/setting'
import { dutiesOf } from '../document/postState'
import { pourClock } from '../pour/clock'
import { pourAt } from '../pour/planned'
import { dayWords, momentWords, onTheHour } from '../weather/dates'
import type { CustomerQuestion } from './customerQuestion'
import { signOffAt } from './entries'
import { visitsDue, VISIT_WORDS, watchedPosts } from './visits'

/* What a customer is told of the time after: when it may be used, how it is kept, when somebody comes back. */

const USES: Readonly<Record<string, string>> = {
  props: 'props off',
  boards: 'lean on it, panels and rails back',
  gate: 'gate hung, full load',
}

export function useWords({ job, at, steps, now, tables, air }: CustomerQuestion, kept: Post): string[] {
  const hangsGate = dutiesOf(kept).includes('gate-hinge')
  const used = (key: string) => (key === 'gate' && !hangsGate ? undefined : USES[key])
  const zone = job.site?.timeZone
  const pour = pourAt(job, at.line, at.post)
  // Signed off, everything is back where it belongs.
  if (signOffAt(job, at)) return []
  const clock = pour && pourClock(pour, now, tables, air)
  if (clock)
    return clock.milestones.flatMap(({ key, latest }) =>
      used(key) && latest !== null ? [`From ${momentWords(onTheHour(latest, zone), zone)}: ${used(key)}.`] : [],
    )
  const waits = new Map(steps.flatMap(({ after }) => (after ? [[after.milestone, after.hours] as const] : [])))
  return MILESTONES.flatMap(({ key }) => {
    const hours = waits.get(key)
    return hours === undefined || !used(key)
      ? []
      : [
          `${capital(used(key)!)}: ${hours < 48 ? `${Math.ceil(hours)} hours` : `${Math.ceil(hours / 24)} days`} after the concrete, in ground at 10 °C.`,
        ]
  })
}
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

const WOODEN = ['treated-softwood', 'untreated-softwood', 'cedar', 'oak']

export function keepWords({ post, method, plan }: CustomerQuestion, kept: Post): string[] {
  const isWood = WOODEN.includes(post.material)
  return [
    ...plan.diagnosis.conditions.map(
      ({ name, advice }) => `${name}: ${advice.charAt(0).toLowerCase()}${advice.slice(1)}`,
    ),
    ...(isWood ? ['Keep soil, leaves and stored things off the wood: it rots where they touch it.'] : []),
    ...(post.material === 'steel' ? ['Paint over scratches at the ground: rust begins there.'] : []),
    'Cut growth back: a climber holds the wind like a sail.',
    ...(method.concrete ? ['Leave the sloped top of the concrete clear, so that water runs off it.'] : []),
    ...(dutiesOf(kept).includes('gate-hinge')
      ? ['If the gate begins to drag, tighten its hinges before you lift it: and tell us.']
      : []),
  ]
}

export function backWords({ job, at, now }: CustomerQuestion): string[] {
  if (!signOffAt(job, at)) return []
  const zone = job.site?.timeZone
  const due = visitsDue(job).filter(({ posts }) => posts.includes(at.post))
  return [
    ...(watchedPosts(job).some(({ post }) => post === at.post)
      ? ['After the first storm such as comes about once in two years, to look at it.']
      : []),
    ...due.map(
      ({ due: day, why, open }) =>
        `${day < now ? `Since ${dayWords(day, zone)} we owe you a visit` : `On ${dayWords(day, zone)}`}, ${[VISIT_WORDS[why], ...open].join(': ')}${open.length > 0 ? '' : '.'}`,
    ),
    'Call us before that if it leans or rocks.',
  ]
}
