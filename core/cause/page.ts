import type { ConditionRow } from './conditions'
import type { CauseTables, EvidenceRow } from './tables'

/**
 * The numbers of the diagnosis as a page that a practitioner can read and argue with, in Markdown.
 */
export function diagnosisPage(tables: CauseTables, conditions: readonly ConditionRow[]): string {
  return [
    '# How causes are judged',
    'Made from `data/diagnosis.ts` and `data/conditions.ts` by `npm run pages`; change the numbers there. All of them are working values from judgement, not from a count: argue with them.',
    'A cause starts with how common it is, changes with what the post is, and grows or shrinks with each reading by how often that reading is seen under it and under the others. Readings of one group say partly the same thing and count 0.6 of their weight when there are several. A figure under 1 in 100 counts as 1 in 100: nothing that can be is ruled out by one look. What digging shows at one post speaks for the others of its line of the same age and make, at the weight that stands beside it.',
    '## Causes',
    table(
      ['cause', 'what failed', 'part', 'of 100 call-outs', 'because', 'answered by'],
      tables.causes.map(({ name, what, part, prior, because, answeredBy }) => [
        name,
        what,
        part,
        String(prior),
        because,
        answeredBy.join(', '),
      ]),
    ),
    '## Nothing wrong',
    soundWords(tables),
    '## What the post is',
    table(
      ['known', 'causes', 'times', 'because'],
      tables.priorRules.map(({ fact, causes, factor, because }) => [
        fact,
        causes.map((key) => nameOf(key, tables)).join(', '),
        factor === 0 ? 'cannot be' : `× ${factor}`,
        because,
      ]),
    ),
    '## What is seen',
    ...tables.evidence.flatMap((row) => evidenceOf(row, tables)),
    '## Visits wasted',
    `Repaired for one part while another had failed: ${tables.wasted.because}.`,
    wastedTable(tables),
    `Within one part: none where the same repairs answer both causes, ${tables.wasted.samePart.someRepairsShared} where some do, ${tables.wasted.samePart.noRepairShared} where none does. The next check is the one that is expected to save most of these visits for each minute that it takes.`,
    '## What helps failures along',
    table(
      ['seen', 'do not build it again', 'by'],
      conditions.map(({ name, advice, when }) => [name, advice, when ? 'readings' : 'a tick']),
    ),
    '',
  ].join('\n\n')
}

function soundWords({ sound }: CauseTables): string {
  const { odds, visits, lean } = sound
  const leave = visits.leftFailed / (visits.leftFailed + visits.mendedSound)
  const mm = (slope: number) => `${slope * 1e3} mm`
  return [
    `That nothing has failed stands above the causes: odds ${odds.onTheLine} to 1 for a post on a line that somebody was called to, 1 to ${1 / odds.pointedAt} for the post that was meant, because ${sound.because}. A post is left as it is when the chance of that is over ${leave}.`,
    `A lean tells sound from failed by how far it is: of sound posts half-normal with ${mm(lean.sound)} in a metre, of failed ones log-normal about ${mm(lean.failedMedian)}, with ${100 * lean.failedSound} in 100 of the former. What somebody complains of speaks against a sound post; being asked for it does not.`,
  ].join(' ')
}

function evidenceOf(row: EvidenceRow, tables: CauseTables): string[] {
  const values = Object.keys(row.usual)
  const cells = (weights: Readonly<Record<string, number>>) => values.map((value) => String(weights[value]))
  const rows = tables.causes.flatMap(({ key, name }) => {
    const own = row.byCause[key]
    return own ? [[name, ...cells(own.weights), own.because]] : []
  })
  return [
    `### ${row.check}`,
    [`${row.minutes} min; group: ${row.group}.`, howRead(row), carriesWords(row)].filter(Boolean).join(' '),
    table(
      ['in 100 of', ...values.map((value) => row.words[value] ?? value), 'because'],
      [
        ['sound posts', ...values.map((value) => String(Math.round(1e4 * (row.sound[value] ?? 0)) / 100)), ''],
        ['all other causes', ...cells(row.usual), ''],
        ...rows,
      ],
    ),
  ]
}

function howRead({ bands, logistic, silent }: EvidenceRow): string {
  if (bands)
    return `Read as: ${bands.map(({ value, upTo }) => (upTo === undefined ? `${value} beyond` : `${value} up to ${upTo * 1e3} mm`)).join(', ')}.`
  if (logistic)
    return `A smooth step: half and half at ${logistic.middle}, nine to one ${Number((2.2 * logistic.width).toFixed(3))} away from it.`
  return silent ? `Says nothing: ${silent.join(', ')}.` : ''
}

function wastedTable({ wasted }: CauseTables): string {
  const parts = Object.keys(wasted.byPart) as (keyof typeof wasted.byPart)[]
  return table(
    ['repaired', ...parts.map((part) => `${part} had failed`)],
    parts.map((mine) => [mine, ...parts.map((truth) => String(wasted.byPart[mine][truth]))]),
  )
}

const nameOf = (key: string, tables: CauseTables) => tables.causes.find((row) => row.key === key)!.name

function table(headings: readonly string[], rows: readonly (readonly string[])[]): string {
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`
  return [line(headings), line(headings.map(() => '---')), ...rows.map(line)].join('\n')
}

const carriesWords = ({ carries }: EvidenceRow): string =>
  carries === undefined ? '' : `For other posts of the same age and make it counts ${carries}.`
