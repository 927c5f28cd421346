import type { Knex } from 'knex'
import { RateLimiterMemory, RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible'
import { TooMuch } from '../http/failures'

/*
 * How often somebody may try, counted in the database: another server knows of it too.
 */

const MINUTE = 60
/** Wrong passwords for one name, and from one address, in so many seconds. Working values. */
const BY_NAME = { points: 10, duration: 15 * MINUTE, blockDuration: 15 * MINUTE }
const BY_ADDRESS = { points: 60, duration: 15 * MINUTE, blockDuration: 15 * MINUTE }

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

/** Names of people are no business of a table of counts. */
export interface Tries {
  /**
   * Before a password is looked at.
   *
   * @throws TooMuch while the name or the address is locked
   */
  require: (name: string, address: string) => Promise<void>
  /** It was wrong. @returns whether the name is locked from now on */
  wrong: (name: string, address: string) => Promise<boolean>
  right: (name: string) => Promise<void>
}

export function triesOf(database: Knex): Tries {
  const byName = limiter(database, 'name', BY_NAME)
  const byAddress = limiter(database, 'from', BY_ADDRESS)
  const all = (name: string, address: string) =>
    [
      [byName, name],
      [byAddress, address],
    ] as const
  return {
    async require(name, address) {
      for (const [limit, key] of all(name, address)) {
        const found = await limit.get(key)
        if (found && found.consumedPoints > limit.points && found.msBeforeNext > 0) throw locked(found)
      }
    },
    async wrong(name, address) {
      let isLocked = false
      for (const [limit, key] of all(name, address))
        await limit.consume(key).catch((error: unknown) => {
          if (!(error instanceof RateLimiterRes)) throw error
          isLocked ||= limit === byName
        })
      return isLocked
    },
    right: async (name) => void (await byName.delete(name)),
  }
}

const locked = ({ msBeforeNext }: RateLimiterRes) => {
  const minutes = Math.ceil(msBeforeNext / 60e3)
  return new TooMuch(
    `Too many wrong tries: again in ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}.`,
    Math.ceil(msBeforeNext / 1e3),
  )
}

/** So many times the servers tell each other of one asker, in one span. */
const TELLS = 10

/**
 * Requests of one address, over all servers: each counts for itself and tells the database of every so many, so that
 * an ordinary request writes nothing.
 *
 * @param most in `span` seconds
 */
export function sharedLimit(database: () => Promise<Knex>, most: number, span: number) {
  const here = new RateLimiterMemory({ points: most, duration: span })
  const step = Math.max(1, Math.round(most / TELLS))
  let everywhere: RateLimiterMySQL | undefined
  return async (address: string): Promise<void> => {
    try {
      const { consumedPoints } = await here.consume(address)
      if (consumedPoints % step !== 0) return
      everywhere ??= limiter(await database(), 'asks', { points: most, duration: span })
      await everywhere.consume(address, step)
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error
      const seconds = Math.max(1, Math.ceil(error.msBeforeNext / 1e3))
      await here.block(address, seconds)
      throw new TooMuch('Too many requests from one place.', seconds)
    }
  }
}
