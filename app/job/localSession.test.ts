import { expect, it } from 'vitest'
import { jobOf, runOfPosts } from '../../tests/support/builders'
import { localSession } from './localSession'

it('applies what is edited to itself alone, and keeps nothing', async () => {
  const job = jobOf(runOfPosts(3, 2.4))
  const [one, other] = [localSession(job), localSession(job)]
  expect(one.id).not.toBe(other.id)
  await one.edit([{ name: 'setReading', line: 'A', post: 'A2', key: 'tap', value: 'dull' }])
  expect(one.job.value!.lines[0]!.posts[1]!.observations).toEqual({ tap: 'dull' })
  expect(other.job.value).toBe(job)
  expect(job.lines[0]!.posts[1]!.observations?.tap).toBeUndefined()
  await one.undo()
  one.close()
  expect(one.saveSign.value).toBe('saved')
})
