import type { FittedPicture } from '~/picture/model/fitted'

/** What was given to a calculation, or found by it. */
export type Values = Readonly<Record<string, unknown>>
/** Draws a calculation from what was given and found, in metres. */
export type Draw = (given: Values, found: Values) => FittedPicture

export const number = (values: Values, key: string, otherwise = 0): number =>
  typeof values[key] === 'number' && Number.isFinite(values[key]) ? (values[key] as number) : otherwise
export const numbers = (values: Values, key: string): number[] =>
  Array.isArray(values[key]) ? (values[key] as number[]) : []
