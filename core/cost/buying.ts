import type { Job } from '../document/job'
import { MORTISES } from '../plan/methods'
import type { PostBill } from './jobBills'
import { readPostKey } from '../document/postKey'

/** What is to be known before things are bought for these posts, each said once. */
export function buyingNotes(bills: readonly PostBill[], job: Job): string[] {
  const ownPosts = bills.flatMap(({ address }) => {
    const { line, post: id } = readPostKey(address)
    const post = job.lines.find((each) => each.id === line)?.posts.find((each) => each.id === id)
    return post?.repair?.post?.section || post?.repair?.post?.material ? [id] : []
  })
  const mortised = bills
    .filter(({ method }) => method.cautions.includes(MORTISES))
    .map(({ address }) => readPostKey(address).post)
  return [
    ...(mortised.length > 0 ? [`${mortised.join(', ')}: ${MORTISES[0]!.toLowerCase()}${MORTISES.slice(1)}`] : []),
    ...(ownPosts.length > 0
      ? [
          `${ownPosts.join(', ')}: a second-hand post may be treated with anything. Saw it outdoors with a mask on, soak its cut ends, and burn none of it; an old cut that is soft is cut back to hard wood.`,
        ]
      : []),
  ]
}

/**
 * How many bags fewer are opened where one hole after the other is filled from the same: what is left of one goes into
 * the next.
 *
 * @example 1.4 and 1.4 bags: 3 and not 4, one fewer
 */
export function sharedBags(bills: readonly PostBill[]): { together: number; apart: number } {
  const counts = new Map<string, number[]>()
  for (const { lines } of bills)
    for (const { key, quantity } of lines)
      if (key.startsWith('mix/') && key !== 'mix/mixer-truck')
        counts.set(key, [...(counts.get(key) ?? []), quantity.valueOf()])
  const up = (value: number) => Math.ceil(value - 1e-9)
  return [...counts.values()].reduce(
    (sum, each) => ({
      together: sum.together + up(each.reduce((all, one) => all + one, 0)),
      apart: sum.apart + each.reduce((all, one) => all + up(one), 0),
    }),
    { together: 0, apart: 0 },
  )
}
