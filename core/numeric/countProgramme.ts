import type { Restriction, Term } from './integerProgramme'

/*
 * A programme of whole counts: linear in them, solved by whoever has a solver, with them whole or not. Written out in
 * the LP text that solvers read.
 */

export interface CountProgramme {
  minimise: readonly Term[]
  restrictions: readonly Restriction[]
}

export interface CountSolver {
  /** @returns the counts, whole, and whether no others are better, after so many branches at most; nothing where none keep to every restriction */
  whole: (
    programme: CountProgramme,
    branches?: number,
  ) => { counts: ReadonlyMap<string, number>; isBest: boolean } | undefined
  /** The same without having to be whole: its least sum, and what one more of each restriction would cost. */
  linear: (programme: CountProgramme) => { least: number; duals: readonly number[] } | undefined
}

/**
 * The programme as LP text.
 *
 * @example countText({ minimise: [[9, 'a']], restrictions: [{ terms: [[2, 'a']], is: '>=', than: 3 }] }, true)
 *   // 'Minimize\n obj: 9 a\nSubject To\n r0: 2 a >= 3\nGeneral\n a\nEnd\n'
 */
export function countText({ minimise, restrictions }: CountProgramme, isWhole: boolean): string {
  const names = [...new Set([...minimise, ...restrictions.flatMap(({ terms }) => terms)].map(([, name]) => name))]
  return [
    'Minimize',
    ` obj: ${sum(minimise)}`,
    'Subject To',
    ...restrictions.map(({ terms, is, than }, i) => ` r${i}: ${sum(terms)} ${is} ${than}`),
    ...(isWhole ? ['General', ...names.map((name) => ` ${name}`)] : []),
    'End',
    '',
  ].join('\n')
}

const sum = (terms: readonly Term[]): string =>
  terms
    .map(
      ([factor, name], i) =>
        `${factor < 0 ? '- ' : i > 0 ? '+ ' : ''}${Math.abs(factor)} ${name}${i % 8 === 7 ? '\n  ' : ''}`,
    )
    .join(' ')
