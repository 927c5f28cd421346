/*
 * A programme of yes-or-no choices: linear in them, solved exactly by whoever has a solver. Written out in the LP
 * text that solvers read.
 */

/** A multiple of one choice. */
export type Term = readonly [factor: number, choice: string]

/** What a sum of choices has to keep to. */
export interface Restriction {
  terms: readonly Term[]
  is: '<=' | '>=' | '='
  than: number
}

export interface IntegerProgramme {
  minimise: readonly Term[]
  restrictions: readonly Restriction[]
  /** Choices that come out whole by themselves once the others are: 0 to 1, and left to be so. */
  follows?: ReadonlySet<string>
}

/**
 * Finds the choices that are made in the best answer, exactly.
 *
 * @returns names of the choices that are made; nothing where no answer keeps to every restriction
 */
export type SolveProgramme = (programme: IntegerProgramme) => ReadonlySet<string> | undefined

/**
 * The programme as LP text; every choice is 0 or 1.
 *
 * @example lpText({ minimise: [[2, 'a'], [3, 'b']], restrictions: [{ terms: [[1, 'a'], [1, 'b']], is: '=', than: 1 }] })
 *   // 'Minimize\n obj: 2 a + 3 b\nSubject To\n r0: 1 a + 1 b = 1\nBinary\n a b\nEnd\n'
 */
export function lpText({ minimise, restrictions, follows = new Set() }: IntegerProgramme): string {
  const choices = new Set([...minimise, ...restrictions.flatMap(({ terms }) => terms)].map(([, choice]) => choice))
  return [
    'Minimize',
    ` obj: ${sum(minimise)}`,
    'Subject To',
    ...restrictions.map(({ terms, is, than }, i) => ` r${i}: ${sum(terms)} ${is} ${than}`),
    ...(follows.size > 0 ? ['Bounds', ...[...follows].map((choice) => ` 0 <= ${choice} <= 1`)] : []),
    'Binary',
    ...wrapped([...choices].filter((choice) => !follows.has(choice))),
    'End',
    '',
  ].join('\n')
}

const sum = (terms: readonly Term[]): string =>
  terms.map(([factor, choice], i) => `${signOf(factor, i === 0)}${Math.abs(factor)} ${choice}`).join(' ')

const signOf = (factor: number, isFirst: boolean) => (factor < 0 ? '- ' : isFirst ? '' : '+ ')

/** Readers of the text take lines of a few hundred letters. */
function wrapped(words: readonly string[]): string[] {
  const lines: string[] = []
  for (let i = 0; i < words.length; i += WORDS_ON_A_LINE)
    lines.push(` ${words.slice(i, i + WORDS_ON_A_LINE).join(' ')}`)
  return lines
}
const WORDS_ON_A_LINE = 20
