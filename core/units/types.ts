/** The core counts in SI units without suffixes; these names say which. */
export type Metres = number
export type SquareMetres = number
export type CubicMetres = number
export type Newtons = number
export type NewtonMetres = number
export type Pascals = number
export type Kilograms = number
export type MetresPerSecond = number
export type Radians = number
export type Years = number
export type Minutes = number
