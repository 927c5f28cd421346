import { inject, type InjectionKey } from 'vue'
import type { LengthSystem } from '~~/core/units/length'

/** How the person at the screen reads and writes lengths. */
export interface Lengths {
  units: LengthSystem
  show: (length: number) => string
  /** @throws InputError */
  parse: (text: string, key?: string) => number
  /** The same in millimetres, where those are meant. */
  showSmall: (length: number) => string
  parseSmall: (text: string, key?: string) => number
}
export const LENGTHS: InjectionKey<Lengths> = Symbol('lengths')
/** What the fields of a screen speak of: what was typed about one thing is not kept for another. */
export const SUBJECT: InjectionKey<() => unknown> = Symbol('subject')

export function useLengths(): Lengths {
  const lengths = inject(LENGTHS)
  if (!lengths) throw new Error('Nobody says how lengths are written here')
  return lengths
}
export const useSubject = (): (() => unknown) => inject(SUBJECT, () => undefined)
