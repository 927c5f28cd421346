import { ref, shallowRef, type Ref } from 'vue'
import { pictureAddress, Refusal, type Api } from './api'
import { afterItsJob } from './newJobs'
import type { Queue, Sender } from './queue'
import type { DeviceStorage } from './storage'

export const PICTURE = 'picture'

/** Pictures of photographs: kept on the device first, sent when there is a signal, shown from whichever is there. */
export interface Pictures {
  sender: Sender<{ id: string }>
  keep: (jobId: string, id: string, picture: Blob) => Promise<void>
  /** Makes the device's own pictures of a job ready to be shown. */
  open: (jobId: string) => Promise<void>
  addressOf: (jobId: string, id: string) => string
  /** Why the last one was not accepted; it stays on the device. */
  refused: Ref<string>
}

/** @param queue given late: it is made with this sender */
export function createPictures(
  storage: DeviceStorage,
  api: Pick<Api, 'sendPicture'>,
  queue: () => Pick<Queue, 'put'>,
): Pictures {
  const local = shallowRef<ReadonlyMap<string, string>>(new Map())
  const refused = ref('')
  const show = (id: string, picture: Blob) => {
    if (!local.value.has(id)) local.value = new Map(local.value).set(id, URL.createObjectURL(picture))
  }
  return {
    sender: {
      kind: PICTURE,
      after: afterItsJob,
      async send(jobId, { id }) {
        const kept = await storage.pictures.get(id)
        if (!kept) throw new Refusal(410, 'The picture is not on this device any more.')
        await api.sendPicture(jobId, id, kept.picture)
        return 'taken'
      },
      async refused(_jobId, _body, { message }) {
        refused.value = message
      },
    },
    async keep(jobId, id, picture) {
      show(id, picture)
      await storage.keep(() => storage.pictures.put({ id, jobId, picture }))
      await queue().put(PICTURE, jobId, { id }, id)
    },
    async open(jobId) {
      for (const { id, picture } of await storage.pictures.where({ jobId }).toArray()) show(id, picture)
    },
    addressOf: (jobId, id) => local.value.get(id) ?? pictureAddress(jobId, id),
    refused,
  }
}
