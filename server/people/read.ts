import type { H3Event } from 'h3'
import { object, string, type ObjectShape } from 'yup'
import { LONGEST } from '../../core/limits'
import { choice, name, neededChoice } from '../../core/schema/fields'
import { requireBounded } from '../../core/schema/bounded'
import { readBy } from '../../core/schema/violations'
import { ROLES, type Role } from '../../shared/people'
import type { InvitationLink } from '../../shared/contract'
import { parseText, readText } from '../http/body'
import { PERSON_DEEDS, type PersonDeed } from './accounts'
import { PASSKEY } from './passkeys'

/* What people send of themselves. A password is never in a message, however wrong it is. */

const SIGN_IN_NAME = 'a name of 3 to 100 letters without blanks, such as an address for letters'
const signInName = () => name(LONGEST.person).matches(/^\S{3,}$/, SIGN_IN_NAME)
const password = () => string().strict().required('a password').max(1_000, 'a password').typeError('a password')

const signIn = object({ signInName: name(LONGEST.person), password: password() })
const account = { name: name(LONGEST.person), signInName: signInName(), password: password() }
const firstLead = object({ ...account, code: name(40), workspace: name(LONGEST.name) })
const joining = object(account)
const invited = object({ name: name(LONGEST.person), role: neededChoice(ROLES) })
const passwords = object({ before: password(), after: password() })
const deed = object({ deed: neededChoice(PERSON_DEEDS), role: choice(ROLES) })
const PASSKEY_ANSWER = 'the answer of a passkey'
/** What is in it is for the library that proves it. */
const passkeyAnswer = () =>
  object({
    id: string().strict().required(PASSKEY_ANSWER).typeError(PASSKEY_ANSWER).matches(PASSKEY, PASSKEY_ANSWER),
    response: object().required(PASSKEY_ANSWER).typeError(PASSKEY_ANSWER),
  })
    .required(PASSKEY_ANSWER)
    .typeError(PASSKEY_ANSWER)
const named = object({ name: name(LONGEST.person), response: passkeyAnswer() })
const answered = object({ response: passkeyAnswer() })

async function read<T>(event: H3Event, schema: ReturnType<typeof object<ObjectShape>>): Promise<T> {
  const body = parseText(await readText(event))
  requireBounded(body, 'body')
  return readBy<T>(schema, body, 'body')
}

interface Account {
  name: string
  signInName: string
  password: string
}
export const readSignIn = (event: H3Event) => read<Pick<Account, 'signInName' | 'password'>>(event, signIn)
export const readFirstLead = (event: H3Event) => read<Account & { code: string; workspace: string }>(event, firstLead)
export const readJoining = (event: H3Event) => read<Account>(event, joining)
export const readInvited = (event: H3Event) => read<{ name: string; role: Role }>(event, invited)
export const readPasswords = (event: H3Event) => read<{ before: string; after: string }>(event, passwords)
export const readDeed = (event: H3Event) => read<{ deed: PersonDeed; role?: Role }>(event, deed)
export const readNamedAnswer = <T>(event: H3Event) => read<{ name: string; response: T }>(event, named)
export const readPasskeyAnswer = <T>(event: H3Event) => read<{ response: T }>(event, answered)

export const linkAnswer = ({ token, expiresAt }: { token: string; expiresAt: Date }): InvitationLink => ({
  token,
  expiresAt: expiresAt.toISOString(),
})
