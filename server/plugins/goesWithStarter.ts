import { defineNitroPlugin } from 'nitropack/runtime'

/**
 * The server ends with the program that started it, however that ended: left behind, it would hold the port against
 * the next start, and nobody would stop it. Started by hand it goes on by itself.
 */
export default defineNitroPlugin(() => {
  if (process.env.VINDEX_STARTED !== 'yes') return
  const end = () => process.exit(0)
  // The starter may be gone before this one is ready.
  if (!process.connected) end()
  process.once('disconnect', end)
})
