import { computed, ref, shallowRef, watch } from 'vue'
import { useEventSource, useIntervalFn } from '@vueuse/core'
import { heldReading, type InstrumentKind, type Manner, type Sample } from '~~/core/instruments/simulated'

/** No reading for so long means that the connection is gone, whatever the channel says, ms. */
const SILENCE = 1_500
const KEPT = 40
/** Between tries to take it up again, ms. */
const RECONNECT = 1_000

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
  const address = ref<string>()
  // Opened by `connect` alone; what broke off is taken up again by itself.
  const source = useEventSource(address, [], {
    immediate: false,
    autoConnect: false,
    autoReconnect: { retries: -1, delay: RECONNECT },
  })

  watch(
    () => source.data.value,
    (data) => {
      if (data === null || state.value === 'off') return
      const { value } = JSON.parse(data) as { value: number }
      samples.value = [...samples.value, { at: performance.now(), value }].slice(-KEPT)
      state.value = 'live'
    },
    { flush: 'sync' },
  )
  watch(source.error, (error) => {
    if (error && state.value !== 'off') state.value = 'lost'
  })

  function connect(): void {
    disconnect()
    samples.value = []
    state.value = 'connecting'
    address.value = `/api/instruments/${kind}?manner=${manner.value}&truth=${truth()}`
    source.open()
  }
  function disconnect(): void {
    source.close()
    state.value = 'off'
  }

  useIntervalFn(() => {
    const last = samples.value.at(-1)
    if (state.value === 'live' && last && performance.now() - last.at > SILENCE) state.value = 'lost'
  }, 250)
  watch(manner, () => state.value !== 'off' && connect())

  return { state, manner, held, connect, disconnect }
}
