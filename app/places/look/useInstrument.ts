import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { useIntervalFn } from '@vueuse/core'
import { heldReading, type InstrumentKind, type Manner, type Sample } from '~~/core/instruments/simulated'

/** No reading for so long means that the connection is gone, whatever the channel says, ms. */
const SILENCE = 1_500
const KEPT = 40

export type InstrumentState = 'off' | 'connecting' | 'live' | 'lost'

/**
 * Readings of an instrument as they stream in. The last one stays in sight when the connection is lost, and nothing
 * is recorded by itself.
 *
 * @param truth what the stand-in is held against
 */
export function useInstrument(kind: InstrumentKind, truth: () => number) {
  const state = ref<InstrumentState>('off')
  const manner = ref<Manner>('steady')
  const samples = shallowRef<Sample[]>([])
  const held = computed(() => heldReading(kind, samples.value))
  let source: EventSource | undefined

  function connect(): void {
    disconnect()
    samples.value = []
    state.value = 'connecting'
    source = new EventSource(`/api/instruments/${kind}?manner=${manner.value}&truth=${truth()}`)
    source.onmessage = ({ data }) => {
      const { value } = JSON.parse(data as string) as { value: number }
      samples.value = [...samples.value, { at: performance.now(), value }].slice(-KEPT)
      state.value = 'live'
    }
    source.onerror = () => {
      state.value = 'lost'
    }
  }
  function disconnect(): void {
    source?.close()
    source = undefined
    state.value = 'off'
  }

  useIntervalFn(() => {
    const last = samples.value.at(-1)
    if (state.value === 'live' && last && performance.now() - last.at > SILENCE) state.value = 'lost'
  }, 250)
  watch(manner, () => state.value !== 'off' && connect())
  onBeforeUnmount(disconnect)

  return { state, manner, held, connect, disconnect }
}
