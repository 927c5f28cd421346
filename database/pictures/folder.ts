import { randomUUID } from 'node:crypto'
import { mkdir, open, readFile, rename, rm, stat } from 'node:fs/promises'
import { dirname, join, resolve } from 'node:path'
import type { PictureStore } from './store'

/** Pictures as files in a folder; of several servers all have to see the same one. */
export function folderStore(path: string): PictureStore {
  const folder = resolve(path)
  return {
    async put(key, bytes) {
      const file = join(folder, key)
      const known = await stat(file).catch(unlessMissing)
      if (known?.size === bytes.length) return
      await mkdir(dirname(file), { recursive: true, mode: 0o700 })
      // Under its own name only once it is whole, and on the disk.
      const part = `${file}.${randomUUID()}`
      const written = await open(part, 'wx', 0o600)
      try {
        await written.writeFile(bytes)
        await written.sync()
      } finally {
        await written.close()
      }
      await rename(part, file)
      await syncFolder(dirname(file))
    },
    has: async (key) => (await stat(join(folder, key)).catch(unlessMissing)) !== undefined,
    get: (key) => readFile(join(folder, key)).catch(unlessMissing),
    remove: (key) => rm(join(folder, key), { force: true }),
  }
}

async function syncFolder(path: string): Promise<void> {
  const folder = await open(path)
  try {
    await folder.sync()
  } finally {
    await folder.close()
  }
}

function unlessMissing(error: NodeJS.ErrnoException): undefined {
  if (error.code === 'ENOENT' || error.code === 'ENOTDIR') return undefined
  throw error
}
