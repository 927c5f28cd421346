/**
 * How many cases a test tries: a few seconds' worth in the suite, `many` in `npm run properties`.
 *
 * @example cases(60, 300) // 60
 */
export const cases = (usual: number, many: number): number => (process.env.VINDEX_MANY_CASES ? many : usual)
