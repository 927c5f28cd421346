import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, type Refusal } from './api'
import { storage } from './storage'

/** Pauses between tries while the server does not answer, ms. */
const FIRST_PAUSE = 500
const LONGEST_PAUSE = 8_000

/** Pictures of photographs: kept on the device first, sent when there is a signal, shown from whichever is there. */
export const usePhotographsStore = defineStore('photographs', () => {
  /** Pictures that the server does not have yet. */
  const waiting = ref(0)
  const refused = ref('')
  const local = ref(new Map<string, string>())
  let sending = false
  let pause = FIRST_PAUSE
  let timer: ReturnType<typeof setTimeout> | undefined

  async function keep(jobId: string, id: string, picture: Blob): Promise<void> {
    await storage.photographs.put({ id, jobId, picture, sent: 0 })
    local.value.set(id, URL.createObjectURL(picture))
    await count()
    void send()
  }

  /** Sends what waits, of every job, one picture at a time. */
  async function send(): Promise<void> {
    if (sending) return
    sending = true
    clearTimeout(timer)
    try {
      for (const { id, jobId, picture } of await storage.photographs.where({ sent: 0 }).toArray()) {
        try {
          await api.sendPhotograph(jobId, id, picture)
        } catch (error) {
          const { passing, message } = error as Refusal
          if (passing) return tryLater()
          refused.value = message
        }
        pause = FIRST_PAUSE
        await storage.photographs.update(id, { sent: 1 })
      }
    } finally {
      sending = false
      await count()
    }
  }

  function tryLater(): void {
    timer = setTimeout(() => void send(), pause)
    pause = Math.min(LONGEST_PAUSE, pause * 2)
  }

  async function count(): Promise<void> {
    waiting.value = await storage.photographs.where({ sent: 0 }).count()
  }

  /** Where to show it from: the device's own copy as long as there is one. */
  async function open(jobId: string): Promise<void> {
    for (const { id, picture } of await storage.photographs.where({ jobId }).toArray()) {
      if (!local.value.has(id)) local.value.set(id, URL.createObjectURL(picture))
    }
    await count()
  }
  const addressOf = (jobId: string, id: string): string =>
    local.value.get(id) ?? `/api/jobs/${encodeURIComponent(jobId)}/photographs/${encodeURIComponent(id)}`

  return { waiting, refused, keep, send, open, addressOf }
})
