// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./jstat.d.ts" />
import jStat from 'jstat'

/**
 * The point of Student's t under which a share of it lies.
 *
 * @param share   0 to 1
 * @param freedom degrees of freedom, > 0
 * @example studentT(0.95, 2) // 2.920
 */
export const studentT = (share: number, freedom: number): number => jStat.studentt.inv(share, freedom)
