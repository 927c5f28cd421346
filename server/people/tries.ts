import type { Knex } from 'knex'
import { RateLimiterMemory, RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible'
import { TooMuch } from '../http/failures'

/*
 * How often somebody may try, counted in the database: another server knows of it too.
 */

const DAY = 24 * 3600
/** Wrong tries that somebody may make at once, by name and place. Working value. */
const FREE = 5
/** After those each wait is twice the one before, at most, s. */
const LONGEST_WAIT = 900
/** Wrong tries of one name in a day, from wherever: ten years are too few for a password that stands. */
const BY_DAY = { points: 100, duration: DAY }
/** Only counted: what it leads to depends on the number. */
const COUNTED = { points: 1_000_000, duration: DAY }

function limiter(database: Knex, keyPrefix: string, how: { points: number; duration: number; blockDuration?: number }) {
  // Of the connection that it has: of a cluster the address is chosen anew for each.
  const dbName = (database.client as { database: () => string }).database()
  return new RateLimiterMySQL({
    storeClient: database,
    storeType: 'knex',
    dbName,
    tableName: 'tries',
    tableCreated: true,
    clearExpiredByTimeout: false,
    keyPrefix,
    ...how,
  })
}

/** Who tries. Names of people are no business of a table of counts: the name is a digest. */
export interface Trying {
  name: string
  address: string
  /** A device on which the person was signed in before: other people's tries do not lock it out. */
  device?: string | undefined
}

export interface Tries {
  /**
   * Before a password is looked at: the try counts at once, so that many at the same time count as many.
   *
   * @returns how many tries of this name from there were wrong or are under way, this one with them
   * @throws TooMuch while it is too early for another
   */
  begin: (trying: Trying) => Promise<number>
  /** It was right: what was wrong before is forgotten. */
  right: (trying: Trying) => Promise<void>
}

/** @example waitAfter(7) // 4 s; the first five have none */
export const waitAfter = (tries: number): number => (tries <= FREE ? 0 : Math.min(LONGEST_WAIT, 2 ** (tries - FREE)))

export function triesOf(database: Knex): Tries {
  const wrong = limiter(database, 'wrong', COUNTED)
  const pause = limiter(database, 'pause', { points: 1, duration: 1 })
  const day = limiter(database, 'day', BY_DAY)
  const pairOf = ({ name, address, device }: Trying) => `${name} ${device ?? address}`.slice(0, 200)

  async function begin(trying: Trying): Promise<number> {
    const pair = pairOf(trying)
    const { consumedPoints: count } = await wrong.consume(pair)
    try {
      const customDuration = waitAfter(count)
      // One passes in each span of waiting.
      if (customDuration > 0) await pause.consume(pair, 1, { customDuration })
      if (trying.device === undefined) await day.consume(trying.name)
      return count
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error
      // Nothing was looked at: it was no try.
      await wrong.reward(pair)
      throw locked(error)
    }
  }
  async function right(trying: Trying): Promise<void> {
    const pair = pairOf(trying)
    await wrong.delete(pair)
    await pause.delete(pair)
    if (trying.device === undefined) await day.reward(trying.name)
  }
  return { begin, right }
}

const locked = ({ msBeforeNext }: RateLimiterRes) => {
  const seconds = Math.max(1, Math.ceil(msBeforeNext / 1e3))
  const minutes = Math.ceil(seconds / 60)
  const wait = seconds < 100 ? `${seconds} s` : `${minutes} minutes`
  return new TooMuch(`Too many wrong tries: again in ${wait}.`, seconds)
}

/**
 * A server tells the others after this part of what is left to an asker: an ordinary request writes nothing, and near
 * the limit each one counts.
 */
const PART_LEFT = 1 / 10

/**
 * Requests of one address, over all servers: each counts for itself and tells the database now and then.
 *
 * @param most in `span` seconds; several servers together let at most a few more through
 */
export function sharedLimit(database: () => Promise<Knex>, most: number, span: number) {
  const here = new RateLimiterMemory({ points: most, duration: span })
  const stepAt = (left: number) => Math.max(1, Math.floor(left * PART_LEFT))
  /** By address: how many of this span the database knows, and after how many more it is told. */
  const told = new Map<string, { count: number; step: number }>()
  let everywhere: RateLimiterMySQL | undefined

  async function tell(address: string, count: number): Promise<void> {
    const known = count === 1 ? undefined : told.get(address)
    const { count: before, step } = known ?? { count: 0, step: stepAt(most) }
    if (!known) told.set(address, { count: 0, step })
    if (told.size > MOST_ADDRESSES) told.delete(told.keys().next().value!)
    if (count - before < step) return
    // Before it is told: the next request does not tell the same.
    told.set(address, { count, step })
    everywhere ??= limiter(await database(), 'asks', { points: most, duration: span })
    const { consumedPoints } = await everywhere.consume(address, count - before)
    told.set(address, { count: told.get(address)?.count ?? count, step: stepAt(most - consumedPoints) })
  }
  return async (address: string): Promise<void> => {
    try {
      const { consumedPoints } = await here.consume(address)
      await tell(address, consumedPoints)
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error
      const seconds = Math.max(1, Math.ceil(error.msBeforeNext / 1e3))
      await here.block(address, seconds)
      throw new TooMuch('Too many requests from one place.', seconds)
    }
  }
}
/** Addresses that a server keeps count of. */
const MOST_ADDRESSES = 10_000
