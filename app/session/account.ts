import { useLocalStorage } from '@vueuse/core'
import Dexie from 'dexie'
import { computed, shallowRef, watch } from 'vue'
import { accountHere, workspaceHere } from '~/sync/accountHere'
import { queue, storage } from '~/sync/device'
import { signedOut } from '~/sync/signedOut'
import type { SessionAnswer } from '~~/shared/contract'
import { mayDo, type Right } from '~~/shared/people'
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

/** Whether anything that was entered waits on this device, and whose it is. */
export async function waitingHere(): Promise<{ count: number; whose: string }> {
  const count = (await storage.keep(() => storage.outbox.count())) + (await storage.keep(() => storage.tray.count()))
  return { count, whose: accountHere.value.name }
}

/** Another person signs in where somebody's work still waits. */
export class OthersWait extends Error {
  constructor(
    readonly count: number,
    readonly whose: string,
  ) {
    super(
      `${count} ${count === 1 ? 'thing' : 'things'} that ${whose || 'somebody'} entered ${count === 1 ? 'waits' : 'wait'} here.`,
    )
  }
}

/** Everything that this device keeps of jobs, people and yard is gone; units and light stay. */
export async function forgetEverything(): Promise<void> {
  await queue.close()
  storage.close()
  await Dexie.delete(storage.name)
  for (const key of Object.keys(localStorage))
    if (key.startsWith('vindex-') && !KEPT.includes(key)) localStorage.removeItem(key)
}
const KEPT = ['vindex-units', 'vindex-volumes', 'vindex-theme']

/** Away from what was open: a page that goes on would write what was forgotten. */
const startAnew = (path: string) => location.replace(path)

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
   * Somebody has come in. What another one left on the device is not sent under their name.
   *
   * @param enter asks the server
   * @param dropsOthers after whoever signs in was asked
   * @throws OthersWait where somebody else's work waits to be sent; nobody is signed in then
   */
  async enter(enter: () => Promise<SessionAnswer>, dropsOthers = false): Promise<void> {
    const before = accountHere.value
    const said = await enter()
    const { person } = said
    const isSame = before.id === '' || before.id === person!.id
    const { count, whose } = await waitingHere()
    if (!isSame && count > 0 && !dropsOthers) {
      await peopleApi.signOut().catch(() => undefined)
      throw new OthersWait(count, whose)
    }
    if (!isSame) await forgetEverything()
    accountHere.value = { id: person!.id, name: person!.name }
    hear(said)
    usePreferencesStore().person = person!.name
    if (!isSame) return startAnew('/')
    await queue.wake()
  },

  /** Signs this device out; it forgets what it has. */
  async leave(): Promise<void> {
    await peopleApi.signOut()
    await forgetEverything()
    startAnew('/sign-in')
  },
}

/** A device that was signed out from elsewhere forgets at once, and then says that it has. */
watch(signedOut, async (said) => {
  if (said !== 'revoked') return
  await forgetEverything()
  await peopleApi.signOut().catch(() => undefined)
  startAnew('/sign-in?forgotten=yes')
})
