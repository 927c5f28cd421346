import type { OutReason } from '../../shared/people'
import type { Command } from '../../core/edit/commands'
import type { Writer } from '../../core/edit/rebase'

export class NotFound extends Error {
  constructor(
    readonly what: string,
    readonly id: string,
  ) {
    super(`There is no ${what} "${id}".`)
  }
}

/** Others have written since: what they did goes back, for the sender to merge key by key. */
export class StaleVersion extends Error {
  constructor(
    readonly version: number,
    readonly mine: Command[],
    readonly theirs: Command[],
    /** Of each of theirs. */
    readonly writers: Writer[] = [],
  ) {
    super('Others have changed this job since.')
  }
}

export class TooLarge extends Error {
  constructor(
    readonly limit: number,
    hint: string,
  ) {
    super(`The file is larger than ${limit / 1e6} MB; ${hint}.`)
  }
}

export class NotJson extends Error {}

/** What this server itself asks does not answer. */
export class Away extends Error {}

/** Something else is there under this name. */
export class Taken extends Error {}

/** The server is asked for more than one asker gets. */
export class TooMuch extends Error {
  constructor(
    message: string,
    /** Worth asking again after, s. */
    readonly after: number,
  ) {
    super(message)
  }
}

export class WrongMethod extends Error {
  constructor(method: string, allowed: readonly string[]) {
    super(`${method} is not for this address: ${allowed.join(', ')}.`)
  }
}

/** Nobody is signed in, or the device was taken out. */
export class SignedOut extends Error {
  /** @param revoked why the device was signed out from elsewhere, and by whom */
  constructor(readonly revoked?: { why: OutReason; by?: string }) {
    super(
      revoked
        ? 'This device was signed out from elsewhere.'
        : 'Nobody is signed in here. What you entered waits on this device.',
    )
  }
}

/** Somebody is signed in, whose work this is not. */
export class NotYours extends Error {}

/** Who wanted to sign in is not who was named. */
export class WrongSignIn extends Error {}

/** Too many wait for the same kind of work: the same may be asked again. */
export class Busy extends Error {
  /** s */
  readonly after = 5
}

/** The server's threads had no time for it: the same may be asked again. */
export class NoTime extends Error {
  /** s */
  readonly after = 30
  constructor() {
    super('This took longer than the server gives to one answer. It is tried again.')
  }
}

/** More work than one answer is worth. */
export class TooLong extends Error {
  constructor() {
    super('This takes longer than the server gives to one answer: ask for less at once.')
  }
}

/** Asked by a name that is not ours. */
export class WrongHost extends Error {
  constructor(host: string) {
    super(`This server does not answer to the name "${host.slice(0, 80)}": NUXT_HOSTS lists its names.`)
  }
}
