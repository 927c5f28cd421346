import { expect, it } from 'vitest'
import { postsNamed } from './postRange'

const ids = ['B1', 'B2', 'B3', 'B4', 'B5', 'end-post']

it.each([
  ['B2', ['B2']],
  ['b2 - b4, B1', ['B1', 'B2', 'B3', 'B4']],
  ['B4–B2', ['B2', 'B3', 'B4']],
  ['B4 to end-post', ['B4', 'B5', 'end-post']],
  ['end-post,', ['end-post']],
  ['', []],
])('%j names posts', (text, posts) => {
  expect(postsNamed(text, ids)).toEqual(posts)
})

it('says which name no post has', () => {
  expect(() => postsNamed('B2-B9', ids)).toThrow('posts is "B9"; it must be names of posts such as B1 or B1-end-post')
})
