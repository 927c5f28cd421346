import { effectScope, onScopeDispose, type EffectScope } from 'vue'
import { useJobSession, useJobView } from './openJob'

type Session = ReturnType<typeof useJobSession>
type View = ReturnType<typeof useJobView>

/**
 * What a drawing and its panel share for their open job: made by the first that asks, gone with the last of them.
 *
 * @param create in the set-up of the first that asks
 */
export function sharedByJob<T>(create: (session: Session, view: View) => T): () => T {
  const open = new WeakMap<object, { made: T; scope: EffectScope; users: number }>()
  return () => {
    const session = useJobSession()
    const view = useJobView()
    let known = open.get(view)
    if (!known) {
      const scope = effectScope(true)
      known = { made: scope.run(() => create(session, view))!, scope, users: 0 }
      open.set(view, known)
    }
    const mine = known
    mine.users++
    onScopeDispose(() => {
      if (--mine.users > 0) return
      mine.scope.stop()
      open.delete(view)
    })
    return mine.made
  }
}
