import { describe, expect, it } from 'vitest'
import { Busy } from '../../server/http/failures'
import { turns } from '../../server/http/turns'

const bounds = { atOnce: 1, waiting: 3, busy: 'busy' }
/** Work that ends when it is told to, and what has begun. */
function bench(turn: ReturnType<typeof turns>) {
  const begun: string[] = []
  const ends: (() => void)[] = []
  const ask = (name: string, asker: string) =>
    turn(() => {
      begun.push(name)
      return new Promise<string>((resolve) => ends.push(() => resolve(name)))
    }, asker)
  const end = async (result: Promise<string>) => {
    ends.shift()!()
    return result
  }
  return { begun, ask, end }
}

describe('turns', () => {
  it('go round by asker, however much one asks', async () => {
    const { begun, ask, end } = bench(turns(bounds))
    const first = ask('a1', 'a')
    const [a2, a3, b1] = [ask('a2', 'a'), ask('a3', 'a'), ask('b1', 'b')]
    await end(first)
    await end(a2)
    await end(b1)
    await end(a3)
    expect(begun).toEqual(['a1', 'a2', 'b1', 'a3'])
  })
  it('are refused to the asker with the most waiting, never to another', async () => {
    const { begun, ask, end } = bench(turns(bounds))
    const first = ask('a1', 'a')
    const waiting = ['a2', 'a3', 'a4'].map((name) => ask(name, 'a'))
    await expect(ask('a5', 'a')).rejects.toThrow(new Busy('busy'))
    const other = ask('b1', 'b')
    await expect(waiting[2]).rejects.toThrow(Busy)
    await end(first)
    await end(waiting[0]!)
    await end(other)
    await end(waiting[1]!)
    expect(begun).toEqual(['a1', 'a2', 'b1', 'a3'])
  })
  it('leave room for others where one asker would have it all', async () => {
    const { begun, ask, end } = bench(turns({ ...bounds, atOnce: 2, each: 1 }))
    const [a1, a2] = [ask('a1', 'a'), ask('a2', 'a')]
    expect(begun).toEqual(['a1'])
    const b1 = ask('b1', 'b')
    expect(begun).toEqual(['a1', 'b1'])
    await end(a1)
    expect(begun).toEqual(['a1', 'b1', 'a2'])
    await end(b1)
    await end(a2)
  })
  it('go on after work that failed, and run as many at once as they may', async () => {
    const turn = turns({ ...bounds, atOnce: 2 })
    const failed = turn(() => Promise.reject(new Error('no')), 'a')
    const { begun, ask, end } = bench(turn)
    const both = [ask('a1', 'a'), ask('a2', 'a')]
    await expect(failed).rejects.toThrow('no')
    await Promise.resolve()
    expect(begun).toEqual(['a1', 'a2'])
    await Promise.all(both.map((each) => end(each)))
    // Nothing waits: the next begins at once.
    const last = ask('a3', 'a')
    expect(begun).toEqual(['a1', 'a2', 'a3'])
    await end(last)
  })
})
