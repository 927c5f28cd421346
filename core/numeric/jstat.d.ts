/* What is used of a package that brings no types. */
declare module 'jstat' {
  const jStat: {
    studentt: { inv: (share: number, freedom: number) => number }
    normal: { inv: (share: number, mean: number, deviation: number) => number }
  }
  export default jStat
}
