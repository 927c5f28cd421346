import Papa from 'papaparse'
import type { Line } from '~~/core/document/job'
import { linesOfGeoJson } from '~~/core/exchange/geojson'
import { LARGEST } from '~~/core/limits'

export interface TableFile {
  name: string
  headings: string[]
  rows: string[][]
}

/** What a picked file turned out to be. */
export type PickedFile =
  | { kind: 'table'; table: TableFile }
  | { kind: 'line'; name: string; linesOf: (id: string) => Line[] }

/**
 * Reads a table of posts (CSV, by comma, semicolon or tab) or a line on the earth (GeoJSON).
 *
 * @throws Error with words for the person
 */
export async function readPostsFile(file: File): Promise<PickedFile> {
  if (file.size > LARGEST.document)
    throw new Error(
      `${file.name} has ${(file.size / 1e6).toFixed(0)} MB; a table of posts has ${LARGEST.document / 1e6} MB at most.`,
    )
  const text = await file.text()
  if (/\.(geo)?json$/i.test(file.name) || text.trimStart().startsWith('{')) return lineFile(file.name, text)
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  const [headings, ...rows] = data
  if (!headings || rows.length === 0)
    throw new Error(`${file.name} has no posts: a heading line, then one post on each line.`)
  return { kind: 'table', table: { name: file.name, headings, rows } }
}

function lineFile(name: string, text: string): PickedFile {
  let document: unknown
  try {
    document = JSON.parse(text)
  } catch (error) {
    throw new Error(`${name} is no JSON: ${(error as Error).message}`)
  }
  try {
    linesOfGeoJson(document, 'A')
    return { kind: 'line', name, linesOf: (id) => linesOfGeoJson(document, id) }
  } catch (error) {
    throw new Error(`${name}: ${(error as Error).message}`)
  }
}

/** Rows of text as a CSV file. */
export const csvOf = (rows: string[][]): string => `${Papa.unparse(rows, { newline: '\n' })}\n`

/** Hands a file to the person; made on the device, so it works without a signal. */
export function saveFile(name: string, text: string, type: string): void {
  const address = URL.createObjectURL(new Blob([text], { type }))
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  URL.revokeObjectURL(address)
}
