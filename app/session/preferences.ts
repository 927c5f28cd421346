import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import {
  lengthParts,
  parseLength,
  parseSmall as parseSmallLength,
  showLength,
  type LengthSystem,
} from '~~/core/units/length'
import { measuresIn, type VolumeUnit } from '~~/core/units/quantity'
import { timeNow } from '~/sync/clock'
import type { ThemeName } from '~/theme'

/** Countries that build in feet and inches. */
const FEET_AND_INCHES = /-(US|LR|MM)$/i
const guessedUnits = (): LengthSystem => (FEET_AND_INCHES.test(navigator.language) ? 'feet-inches' : 'metric')

/** Large figures against the usual ones. */
const LARGE = 1.25

/** A person's own choices, kept on the device. */
export const usePreferencesStore = defineStore('preferences', () => {
  const units = useLocalStorage<LengthSystem>('vindex-units', guessedUnits())
  /** Who reads and writes on this device, in their own words. */
  const person = useLocalStorage('vindex-person', '')
  /** When something was said, and by whom where the name is known. */
  function signed(): { at: string; by?: string } {
    const by = person.value.trim()
    return { at: new Date(timeNow()).toISOString(), ...(by ? { by } : {}) }
  }
  const theme = useLocalStorage<ThemeName>('vindex-theme', 'paper')
  /** Figures to be read at arm's length, on the screen and in the drawings. */
  const isLarge = useLocalStorage('vindex-large-figures', false)
  const figureScale = computed(() => (isLarge.value ? LARGE : 1))

  /** What counts when repairs are weighed against each other, by criterion. */
  const weights = useLocalStorage<Record<string, number>>('vindex-weights', {
    wind: 1,
    work: 1,
    carried: 1,
    kept: 1,
    solved: 3,
    suits: 3,
  })

  /** Who measures in feet may still count litres; absent until somebody says so. */
  const volumes = useLocalStorage<VolumeUnit | ''>('vindex-volumes', '')
  const measures = computed(() => measuresIn(units.value, volumes.value || undefined))
  function switchVolumes(): void {
    volumes.value = measures.value.volumeParts(0).unit === 'L' ? 'gallons' : 'litres'
  }

  const show = (length: number) => showLength(length, units.value)
  const parts = (length: number) => lengthParts(length, units.value)
  const showSmall = (length: number) => measures.value.small(length)
  const parseSmall = (text: string, key?: string) => parseSmallLength(text, units.value, key)
  const parse = (text: string, key?: string) => parseLength(text, units.value, key)
  const switchUnits = () => {
    units.value = units.value === 'metric' ? 'feet-inches' : 'metric'
  }
  return {
    weights,
    units,
    measures,
    person,
    signed,
    theme,
    isLarge,
    figureScale,
    show,
    showSmall,
    parts,
    parse,
    parseSmall,
    switchUnits,
    switchVolumes,
  }
})
