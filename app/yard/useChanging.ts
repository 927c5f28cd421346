import { ref, shallowRef } from 'vue'
import { useFileDialog } from '@vueuse/core'
import Papa from 'papaparse'
import { csvOf, saveFile } from '~/exchange/files'
import { usePreferencesStore } from '~/session/preferences'
import { yard } from '~/sync/device'
import { session } from '~/session/account'
import { InputError } from '~~/core/errors'
import { LARGEST } from '~~/core/limits'
import type { YardChange } from '~~/core/yard/change'
import type { YardRow, YardTable } from '~~/core/yard/column'
import { readTable, tableText, type TableRead } from '~~/core/yard/csv'
import { useYard } from './useYard'

/** Changes of the table that is shown: by hand, by a list that somebody brings, back and again; and what is wrong. */
export function useChanging(table: () => YardTable, rows: () => readonly YardRow[]) {
  const preferences = usePreferencesStore()
  const { currency } = useYard()
  const said = ref('')
  const problems = shallowRef<readonly InputError[]>([])

  /** What the server would refuse is refused here, before it looks as if it were so. */
  const change = async (changes: readonly YardChange[]): Promise<InputError | undefined> =>
    session.may('yard')
      ? yard.change(changes, preferences.person.trim() || undefined)
      : new InputError(table().name, '', 'changed by whoever leads, or by the office')

  /** Of a list that was brought everything is taken, or nothing. */
  async function brought({ changes, problems: wrong }: TableRead): Promise<void> {
    const refused = wrong.length > 0 ? undefined : await change(changes)
    problems.value = refused ? [refused] : wrong
    const touched = new Set(changes.map(({ key }) => key)).size
    said.value = problems.value.length > 0 ? '' : `${touched} ${touched === 1 ? 'row' : 'rows'} changed by it.`
  }
  const dialog = useFileDialog({ accept: '.csv,.tsv,.txt,text/csv', multiple: false, reset: true })
  dialog.onChange(async (files) => {
    const [file] = files ?? []
    if (!file) return
    if (file.size > LARGEST.document)
      return void (said.value = `${file.name} is larger than ${LARGEST.document / 1e6} MB.`)
    const { data } = Papa.parse<string[]>((await file.text()).replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
    await brought(readTable(table(), rows(), data, currency.value))
  })
  const save = () => saveFile(`yard-${table().key}.csv`, csvOf(tableText(table(), rows(), currency.value)), 'text/csv')

  async function back(step: typeof yard.undo): Promise<void> {
    const refused = await step()
    problems.value = refused ? [refused] : []
    said.value = ''
  }
  return { said, problems, change, brought, bring: () => dialog.open(), save, back }
}
