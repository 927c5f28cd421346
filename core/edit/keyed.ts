import type { DaySetup, Hole, Line, Post, Pour, Site } from '../document/job'
import type { LineAddress, PostAddress, PourAddress } from './changes'
import type { SetDay } from './commands/setDay'
import type { SetHole } from './commands/setHole'
import type { SetLine } from './commands/setLine'
import type { SetPost } from './commands/setPost'
import type { SetPour } from './commands/setPour'
import type { SetSite } from './commands/setSite'

/*
 * Edits of one key that is chosen at run time: key and value are of one kind, which a literal with a key that may be any
 * of several does not show.
 */

/** What a key of a part may be set to; null takes it away. */
type ValueOf<T, K extends keyof T> = Exclude<T[K], undefined> | null
export type SiteValue<K extends SetSite['key']> = ValueOf<Site, K>
export type LineValue<K extends SetLine['key']> = ValueOf<Line, K>
export type PostValue<K extends SetPost['key']> = ValueOf<Post, K>
export type HoleValue<K extends SetHole['key']> = ValueOf<Hole, K>
export type PourValue<K extends SetPour['key']> = ValueOf<Pour, K>
export type DayValue<K extends SetDay['key']> = ValueOf<DaySetup, K>

export const siteEdit = <K extends SetSite['key']>(key: K, value: SiteValue<K>): SetSite =>
  ({ name: 'setSite', key, value }) as SetSite

export const lineEdit = <K extends SetLine['key']>({ line }: LineAddress, key: K, value: LineValue<K>): SetLine =>
  ({ name: 'setLine', line, key, value }) as SetLine

export const postEdit = <K extends SetPost['key']>({ line, post }: PostAddress, key: K, value: PostValue<K>): SetPost =>
  ({ name: 'setPost', line, post, key, value }) as SetPost

/** @param method whose hole it is; of the repair in hand where none is named */
export const holeEdit = <K extends SetHole['key']>(
  { line, post }: PostAddress,
  method: string | undefined,
  key: K,
  value: HoleValue<K>,
): SetHole => ({ name: 'setHole', line, post, ...(method === undefined ? {} : { method }), key, value }) as SetHole

export const pourEdit = <K extends SetPour['key']>({ pour }: PourAddress, key: K, value: PourValue<K>): SetPour =>
  ({ name: 'setPour', pour, key, value }) as SetPour

export const dayEdit = <K extends SetDay['key']>(key: K, value: DayValue<K>): SetDay =>
  ({ name: 'setDay', key, value }) as SetDay
