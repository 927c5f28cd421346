/**
 * Name of a job's file: letters and digits only, whatever the job is called.
 *
 * @example jobFileName('Bank side, <b>March</b>') // 'bank-side-b-march-b.json'
 */
export function jobFileName(name: string): string {
  const plain = name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
  return `${plain || 'job'}.json`
}
