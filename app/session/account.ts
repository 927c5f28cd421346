import { useLocalStorage } from '@vueuse/core'
import Dexie from 'dexie'
import { computed, shallowRef, watch } from 'vue'
import { accountHere, workspaceHere } from '~/sync/accountHere'
import { queue, storage } from '~/sync/device'
import { holdUnsent, takeBackHeld } from '~/sync/heldWork'
import { signedOut, unsent } from '~/sync/signedOut'
import type { SessionAnswer } from '~~/shared/contract'
import { mayDo, type Right } from '~~/shared/people'
import { entries } from './deviceWords'
import { peopleApi } from './peopleApi'
import { usePreferencesStore } from './preferences'

/*
 * Who is signed in on this device. The server says so; between two contacts the device goes by what it heard last, so
 * that a day without a signal needs no sign-in.
 */

const heard = useLocalStorage<SessionAnswer | null>('vindex-session', null, {
  serializer: { read: (text) => JSON.parse(text) as SessionAnswer | null, write: JSON.stringify },
})
const now = shallowRef<SessionAnswer | null>(heard.value)

function hear(said: SessionAnswer): SessionAnswer {
  now.value = said
  if (said.workspace) workspaceHere.value = said.workspace.id
  // What was heard last is for a start without a signal.
  heard.value = said.state === 'out' ? null : said
  return said
}

/** How many entries of the account here are not sent. */
export async function waitingHere(): Promise<number> {
  return (await storage.keep(() => storage.outbox.count())) + (await storage.keep(() => storage.tray.count()))
}

/** Of what the browser's small store keeps only units and light are of no account. */
function forgetNames(): void {
  for (const key of Object.keys(localStorage))
    if (key.startsWith('vindex-') && !KEPT.includes(key)) localStorage.removeItem(key)
}
const KEPT = ['vindex-units', 'vindex-volumes', 'vindex-theme']

/** Entries that stand in memory alone, where the browser keeps nothing, would be gone with the page. */
export class NotKept extends Error {
  constructor(count: number) {
    super(
      `${entries(count)} of this account ${count === 1 ? 'is' : 'are'} not sent, and this browser keeps nothing: ` +
        'wait for a signal, or save the job as a file first.',
    )
  }
}

/** @throws NotKept where something that is not sent would be gone */
function requireKept(): void {
  if (storage.failure.value !== '' && unsent.value > 0) throw new NotKept(unsent.value)
}

/**
 * Ends the work of the account here: what the server has is deleted, what it has not is held for the account.
 *
 * @returns how many entries are held
 */
async function setAside(): Promise<number> {
  await queue.close()
  const count = await holdUnsent(storage, accountHere.value)
  storage.close()
  forgetNames()
  return count
}

async function keptOrSignedOut(): Promise<void> {
  try {
    requireKept()
  } catch (error) {
    await peopleApi.signOut().catch(() => undefined)
    throw error
  }
}

/** A lost device keeps nothing, of no account. */
async function deleteEverything(): Promise<void> {
  await queue.close()
  storage.close()
  await Dexie.delete(storage.name)
  forgetNames()
}

/** Away from what was open: a page that goes on would write what was deleted. */
const startAnew = (path: string) => location.replace(path)

/** The account that this window works for; another window may sign another person in. */
const ownAccount = { id: accountHere.value.id }

export const session = {
  now,
  /** The demo on this machine, where nobody has to sign in. */
  isOpen: computed(() => now.value?.state === 'open'),
  person: computed(() => now.value?.person),
  /** Nobody is signed in, and the server was asked. */
  isOut: computed(() => now.value?.state === 'out' || signedOut.value !== undefined),
  may: (right: Right): boolean => mayDo(now.value?.person?.role ?? 'lead', right),

  /** Asks the server; without a signal the last answer stands. */
  async refresh(): Promise<SessionAnswer | null> {
    const said = await peopleApi.session().catch(() => undefined)
    return said ? hear(said) : now.value
  },

  /**
   * Somebody has come in. What another person has not sent from here is held for that person, and what is held for
   * this one goes out.
   *
   * @param enter asks the server
   * @throws NotKept where another person's entries would be gone; nobody is signed in then
   */
  async enter(enter: () => Promise<SessionAnswer>): Promise<void> {
    const before = accountHere.value
    const said = await enter()
    const { id, name } = said.person!
    const isSame = before.id === '' || before.id === id
    if (isSame) await takeBackHeld(storage, id)
    else {
      await keptOrSignedOut()
      await setAside()
    }
    ownAccount.id = id
    accountHere.value = { id, name }
    hear(said)
    usePreferencesStore().person = name
    // The page that starts anew takes back what is held: this one's storage is closed.
    if (!isSame) return startAnew('/')
    await queue.wake()
  },

  /**
   * Signs this device out; what it has not sent stays for the next sign-in of the same account.
   *
   * @throws NotKept where it would be gone
   */
  async leave(): Promise<void> {
    requireKept()
    await peopleApi.signOut()
    const count = await setAside()
    startAnew(count > 0 ? '/sign-in?out=out' : '/sign-in')
  },
}

/** Held work of the account that is signed in goes out. */
export async function takeBackOwn(): Promise<void> {
  const { id } = accountHere.value
  if (id !== '' && (await takeBackHeld(storage, id)) > 0) await queue.wake()
}

// Nothing of the former account is sent under the new one's name.
watch(
  () => accountHere.value.id,
  async (id) => {
    const isOther = ownAccount.id !== '' && ownAccount.id !== id
    ownAccount.id = id
    if (!isOther) return
    await queue.close()
    startAnew('/')
  },
  { flush: 'sync' },
)

/** A device that was signed out from elsewhere says why; only one that is lost deletes what it has not sent. */
watch(signedOut, async (news) => {
  if (news?.state !== 'revoked') return
  // What is in memory alone would go with the page: the bar asks for a sign-in instead.
  if (news.why !== 'lost' && storage.failure.value !== '' && unsent.value > 0) return
  if (news.why === 'lost') await deleteEverything()
  else await setAside()
  await peopleApi.signOut().catch(() => undefined)
  startAnew(`/sign-in?${new URLSearchParams({ out: news.why, ...(news.by ? { by: news.by } : {}) })}`)
})
