import type { Command } from '../../core/edit/commands'
import type { Job } from '../../core/document/job'

export class NotFound extends Error {
  constructor(
    readonly what: string,
    readonly id: string,
  ) {
    super(`There is no ${what} "${id}".`)
  }
}

/** Others have written since: both sides go back, for the sender to merge key by key. */
export class StaleVersion extends Error {
  constructor(
    readonly version: number,
    readonly job: Job,
    readonly mine: Command[],
    readonly theirs: Command[],
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
