import fc from 'fast-check'

export const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
