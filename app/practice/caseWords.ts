import { DUTY_ITEMS } from '~/job/words'
import type { PracticeCase } from '~~/core/practice/case'
import type { Tables } from '~~/core/tables/tables'

/** What is known before anybody looks. @example 'Orchard rails. Somebody complains of P3: oak, 10 years old.' */
export function storyOf({ job, post, facts }: PracticeCase, { materials }: Tables): string {
  const material = materials[facts.material as keyof Tables['materials']].name.toLowerCase()
  const duties = [facts.duty].flat().filter((each) => each !== 'line')
  const names = duties.map((duty) => DUTY_ITEMS.find(({ value }) => value === duty)?.title.toLowerCase() ?? duty)
  const more = names.length > 0 ? `, ${names.join(', ')}` : ''
  return `${job.name}. Somebody complains of ${post}: ${material}, ${facts.ageYears} years old${more}.`
}
