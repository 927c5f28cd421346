import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll } from 'vitest'
import { pictureStore } from '../../database/pictures/open'
import type { PictureStore } from '../../database/pictures/store'

/** A store of pictures of this test file alone. */
export function pictureFolder(): { pictures: PictureStore; folder: string } {
  const folder = mkdtempSync(join(tmpdir(), 'vindex-pictures-'))
  afterAll(() => rmSync(folder, { recursive: true, force: true }))
  return { pictures: pictureStore(folder), folder }
}
