import { describe, expect, it, vi } from 'vitest'
import { keptPapers } from '../../server/papers/keptPapers'

const bytes = (size: number) => new Uint8Array(size)

describe('papers that are kept', () => {
  it('are made once, however many ask at the same time or later', async () => {
    const papers = keptPapers(100)
    const make = vi.fn(async () => bytes(10))
    const all = await Promise.all(Array.from({ length: 20 }, () => papers('a', make)))
    expect(make).toHaveBeenCalledTimes(1)
    expect(new Set(all).size).toBe(1)
    expect((await papers('a', make))!.length).toBe(10)
    expect(make).toHaveBeenCalledTimes(1)
  })
  it('are made anew after one that failed', async () => {
    const papers = keptPapers(100)
    await expect(papers('a', () => Promise.reject(new Error('no time')))).rejects.toThrow('no time')
    expect((await papers('a', async () => bytes(3)))!.length).toBe(3)
  })
  it('go when there are too many bytes, those first that were not asked for since', async () => {
    const papers = keptPapers(100)
    const make = vi.fn(async () => bytes(40))
    for (const key of ['a', 'b', 'a', 'c']) await papers(key, make)
    expect(make).toHaveBeenCalledTimes(3)
    await papers('a', make)
    expect(make).toHaveBeenCalledTimes(3)
    await papers('b', make)
    expect(make).toHaveBeenCalledTimes(4)
  })
  it('remember that there is nothing to print', async () => {
    const papers = keptPapers(100)
    const make = vi.fn(async () => undefined)
    expect(await papers('a', make)).toBeUndefined()
    expect(await papers('a', make)).toBeUndefined()
    expect(make).toHaveBeenCalledTimes(1)
  })
})
