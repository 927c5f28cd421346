import type { Job } from '~~/core/document/job'
import { jobIdentity } from '~~/shared/jobIdentity'
import { Refusal, type Api } from './api'
import { newIdentity } from './identity'
import type { Queue, Sender } from './queue'
import { HOME, plain, type DeviceStorage } from './storage'
import { YARD } from './yard'

export const NEW_JOB = 'job'

/** The job itself comes first, and before it the rows of the yard that it may name. */
export const afterItsJob = (topic: string) =>
  [
    [YARD, HOME],
    [NEW_JOB, topic],
  ] as const

interface NewJobBody {
  key: string
  job: Job
}

/** Jobs are made on the device, and open at once: the server hears of them in its turn. */
export interface NewJobs {
  sender: Sender<NewJobBody>
  /**
   * @param job that was checked
   * @returns its identity, when the device has it
   */
  make: (job: Job, workspace: string) => Promise<string>
}

/** @param queue given late: it is made with this sender */
export function createNewJobs(
  storage: DeviceStorage,
  api: Pick<Api, 'importJob'>,
  queue: () => Pick<Queue, 'put'>,
): NewJobs {
  return {
    sender: {
      kind: NEW_JOB,
      after: () => [[YARD, HOME]],
      async send(id, { key, job }) {
        const made = await api.importJob(JSON.stringify(job), key)
        if (made.id !== id) throw new Refusal(409, 'The server keeps this job under another name.')
        return 'taken'
      },
      // It lies in the tray, and opens on this device as before.
      async refused() {},
    },
    async make(job, workspace) {
      const key = newIdentity()
      const id = await jobIdentity(workspace, key)
      await queue().put(NEW_JOB, id, { key, job }, id)
      await storage.keep(() => storage.jobs.put({ id, version: 1, job: plain(job) }))
      return id
    },
  }
}
