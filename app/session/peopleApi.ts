import type {
  AuthenticationResponseJSON,
  PublicKeyCredentialCreationOptionsJSON,
  PublicKeyCredentialRequestOptionsJSON,
  RegistrationResponseJSON,
} from '@simplewebauthn/browser'
import { ask, POST, post, READ } from '~/sync/api'
import type {
  AuditPage,
  DeviceOut,
  InvitationAnswer,
  InvitationLink,
  PeopleAnswer,
  SelfAnswer,
  SessionAnswer,
} from '~~/shared/contract'
import type { Role } from '~~/shared/people'

const isSession = ({ state }: SessionAnswer) => ['in', 'open', 'out'].includes(state)
const isEntered = ({ state, person }: SessionAnswer) => state === 'in' && typeof person?.id === 'string'
const isLink = ({ token }: InvitationLink) => typeof token === 'string'
const isDone = () => true
const isOut = ({ waiting }: DeviceOut) => Number.isInteger(waiting)
const devicePath = (of: string, device: string, isLost: boolean) =>
  `${of}/devices/${encodeURIComponent(device)}${isLost ? '?lost=yes' : ''}`
const DELETE: RequestInit = { ...READ, method: 'DELETE' }
const sent = (body: object) => post(JSON.stringify(body))
const invitationPath = (token: string) => `/invitations/${encodeURIComponent(token)}`

export interface NewAccount {
  name: string
  signInName: string
  password: string
}

/** Who is signed in, and who works here, as the server has it. */
export const peopleApi = {
  session: () => ask<SessionAnswer>('/session', isSession),
  signIn: (who: Pick<NewAccount, 'signInName' | 'password'>) => ask('/session', isEntered, sent(who)),
  signOut: () => ask<{ state: 'out' }>('/session', ({ state }) => state === 'out', DELETE),
  firstLead: (who: NewAccount & { code: string; workspace: string }) => ask('/session/first', isEntered, sent(who)),
  invitation: (token: string) =>
    ask<InvitationAnswer>(invitationPath(token), ({ workspace }) => typeof workspace === 'string'),
  join: (token: string, who: NewAccount) => ask(invitationPath(token), isEntered, sent(who)),
  passkeyQuestion: () =>
    ask<PublicKeyCredentialRequestOptionsJSON>('/session/question', ({ challenge }) => Boolean(challenge), POST),
  passkeySignIn: (response: AuthenticationResponseJSON) => ask('/session/passkey', isEntered, sent({ response })),
  self: () => ask<SelfAnswer>('/self', ({ devices }) => Array.isArray(devices)),
  changePassword: (passwords: { before: string; after: string }) => ask('/self/password', isDone, sent(passwords)),
  newPasskeyQuestion: () =>
    ask<PublicKeyCredentialCreationOptionsJSON>('/self/question', ({ challenge }) => Boolean(challenge), POST),
  addPasskey: (name: string, response: RegistrationResponseJSON) =>
    ask('/self/passkeys', isDone, sent({ name, response })),
  removePasskey: (id: string) => ask(`/self/passkeys/${encodeURIComponent(id)}`, isDone, DELETE),
  signMineOut: (device: string, isLost: boolean) => ask(devicePath('/self', device, isLost), isOut, DELETE),
  people: () => ask<PeopleAnswer>('/people', ({ people }) => Array.isArray(people)),
  invite: (who: { name: string; role: Role }) => ask<InvitationLink>('/people', isLink, sent(who)),
  change: (person: string, deed: { deed: string; role?: Role }) =>
    ask<Partial<InvitationLink>>(`/people/${encodeURIComponent(person)}`, isDone, sent(deed)),
  signDeviceOut: (device: string, isLost: boolean) => ask(devicePath('/people', device, isLost), isOut, DELETE),
  takeBackInvitation: (id: string) => ask(`/people/invitations/${encodeURIComponent(id)}`, isDone, DELETE),
  audit: (before?: number) =>
    ask<AuditPage>(`/audit${before === undefined ? '' : `?before=${before}`}`, ({ entries }) => Array.isArray(entries)),
}
