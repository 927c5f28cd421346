import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts } from '../../tests/support/builders'
import { applyCommands } from './apply'
import type { Command } from './commands'
import { rebase } from './rebase'
import { isRenaming, renamed, renamesOf } from './renames'

const before = jobOf(runOfPosts(3))
const addPost = (id: string, station: number): Command => ({
  name: 'putPost',
  line: 'A',
  post: id,
  value: { id, station },
})
const addLine = (id: string, ...posts: string[]): Command => ({
  name: 'putLine',
  line: id,
  value: { id, posts: posts.map((post, i) => ({ id: post, station: i * 2 })) },
})
const tap = (post: string, line = 'A'): Command => ({ name: 'setReading', line, post, key: 'tap', value: 'dull' })
const batch = (...commands: Command[]) => [{ id: 'b-1', commands }]

describe('new things that two people called the same', () => {
  it('are both there afterwards, mine under a name of its own with all that was said of it', () => {
    const theirs = [addPost('A4', 9), tap('A4')]
    const after = applyCommands(before, theirs)
    const { clean, conflicts, renames } = rebase(batch(addPost('A4', 8), tap('A4')), theirs, { before, after })
    expect(conflicts).toEqual([])
    expect(renames.posts).toEqual(new Map([['A4', 'A4b']]))
    const merged = applyCommands(after, clean[0]!.commands)
    expect(merged.lines[0]!.posts.slice(3)).toEqual([
      { id: 'A4b', station: 8, observations: { tap: 'dull' } },
      { id: 'A4', station: 9, observations: { tap: 'dull' } },
    ])
  })

  it('are lines with all their posts too', () => {
    const theirs = [addLine('B', 'B1', 'B2')]
    const after = applyCommands(before, theirs)
    const { clean } = rebase(batch(addLine('B', 'B1', 'B9'), tap('B9', 'B')), theirs, { before, after })
    const merged = applyCommands(after, clean[0]!.commands)
    expect(merged.lines.map(({ id, posts }) => [id, posts.map((post) => post.id)])).toEqual([
      ['A', ['A1', 'A2', 'A3']],
      ['B', ['B1', 'B2']],
      ['Bb', ['B1b', 'B9']],
    ])
    expect(merged.lines[2]!.posts[1]!.observations).toEqual({ tap: 'dull' })
  })

  it('get a name that neither side has', () => {
    const after = applyCommands(before, [addPost('A4', 9), addPost('A4b', 10)])
    const { posts } = renamesOf(batch(addPost('A4', 8), addPost('A4c', 11)), before, after)
    expect(posts).toEqual(new Map([['A4', 'A4d']]))
  })

  it('are not renamed when only one of them is new', () => {
    const moved = applyCommands(before, [{ name: 'setPost', line: 'A', post: 'A2', key: 'station', value: 2.5 }])
    const back = renamesOf(batch(addPost('A2', 2.4)), before, moved)
    expect(isRenaming(back)).toBe(false)
    expect(isRenaming(renamesOf(batch(addPost('A4', 8)), before, before))).toBe(false)
  })

  it('leave alone what speaks of something else', () => {
    const names = { lines: new Map([['B', 'Bb']]), posts: new Map([['A4', 'A4b']]) }
    const others: Command[] = [
      tap('A1'),
      { name: 'renameJob', value: 'A4' },
      { name: 'putPost', line: 'A', post: 'A4', value: null },
    ]
    expect(others.map((command) => renamed(command, names))).toEqual([
      others[0],
      others[1],
      { ...others[2], post: 'A4b' },
    ])
  })
})
