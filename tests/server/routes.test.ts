import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { isServed } from '../../server/http/hosts'
import { methodsOf, patternOf, ROUTES } from '../../server/http/routes'
import { instrumentStreams } from '../../server/http/streams'
import { pageToken, readPageToken } from '../../server/jobs/paging'

describe('addresses', () => {
  it('are those that files answer, with their methods', () => {
    const answered = readdirSync('server/api', { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.ts') && !file.includes('[...'))
      .map((file) => {
        const [, path, method] = /^(.*?)(?:\/index)?\.(\w+)\.ts$/.exec(file)!
        return `${method!.toUpperCase()} /api/${path!.replace(/\[(\w+)\]/g, ':$1')}`
      })
    expect(
      ROUTES.flatMap(([path, methods]) => Object.keys(methods).map((method) => `${method} ${path}`)).sort(),
    ).toEqual(answered.sort())
  })
  it.each([
    ['/api/jobs', { GET: 'work', POST: 'work' }],
    ['/api/jobs/x', { GET: 'work', DELETE: 'remove' }],
    ['/api/jobs/x/history', { GET: 'work' }],
    ['/api/jobs//history', {}],
    ['/api/nothing', {}],
    ['/api/jobs/x/history/y', {}],
  ])('%s takes %j', (path, methods) => {
    expect(methodsOf(path)).toEqual(methods)
  })
})

describe('what is counted of an address', () => {
  it.each([
    ['/api/jobs/abc/history', '/api/jobs/:id/history'],
    ['/api/jobs/import', '/api/jobs/import'],
    ['/api/offers/secret-of-a-customer', '/api/offers/:token'],
    ['/api/nothing/of/ours', 'none'],
  ])('%s is %s', (path, pattern) => {
    expect(patternOf(path)).toBe(pattern)
  })
})

describe('names of the server', () => {
  const names = ['localhost', 'shed.local', '']
  it.each([
    ['localhost:3000', true],
    ['LOCALHOST', true],
    ['shed.local', true],
    ['192.168.1.20:3000', true],
    ['[::1]:3000', true],
    ['evil.example', false],
    ['localhost.evil.example', false],
    ['', false],
  ])('%s: %j', (host, served) => {
    expect(isServed(host, names)).toBe(served)
  })
})

describe('places of pages', () => {
  it('come back as they went', () => {
    const place = { updatedAt: new Date('2026-03-14T09:30:00.123Z'), id: 'a-b_c' }
    expect(readPageToken(pageToken(place))).toEqual(place)
    for (const bad of ['', 'x', '.', 'zz.', '1.a b', '1e99999999999.a'])
      expect(() => readPageToken(bad)).toThrow('after')
  })
})

describe('what many ask for at once', () => {
  it('streams so many for one asker', () => {
    const leave = Array.from({ length: 8 }, () => instrumentStreams('one'))
    expect(() => instrumentStreams('one')).toThrow('Too many')
    instrumentStreams('another')()
    leave[0]!()
    leave[0]!()
    leave[0] = instrumentStreams('one')
    expect(() => instrumentStreams('one')).toThrow('Too many')
    leave.forEach((each) => each())
    instrumentStreams('one')()
  })
})
