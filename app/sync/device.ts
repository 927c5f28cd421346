import { api } from './api'
import { editsSender } from './edits'
import { createPictures } from './pictures'
import { createQueue } from './queue'
import { DeviceStorage } from './storage'

/* This device's own storage and queue: made once, shared by all screens. */

export const storage = new DeviceStorage()
export const edits = editsSender(storage, api)
export const pictures = createPictures(storage, api, () => queue)
export const queue = createQueue(storage, [edits, pictures.sender])
