/** A table in Markdown. */
export function table(headings: readonly string[], rows: readonly (readonly string[])[]): string {
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`
  return [line(headings), line(headings.map(() => '---')), ...rows.map(line)].join('\n')
}
