import { watchEffect } from 'vue'
import { api } from './api'
import { editsSender } from './edits'
import { createNewJobs } from './newJobs'
import { createOffers } from './offers'
import { createPictures } from './pictures'
import { createQueue } from './queue'
import { unsent } from './signedOut'
import { DeviceStorage } from './storage'
import { createTabs } from './tabs'
import { createTray } from './tray'
import { createYard } from './yard'

/* This device's own storage and queue: made once, shared by all screens. */

export const storage = new DeviceStorage()
const tabs = createTabs(storage.name)
export const edits = editsSender(storage, api, tabs)
export const newJobs = createNewJobs(storage, api, () => queue)
export const pictures = createPictures(storage, api, () => queue)
export const yard = createYard(storage, api, () => queue, tabs)
export const offers = createOffers(storage, api, () => queue, tabs)
export const queue = createQueue(storage, [newJobs.sender, edits, pictures.sender, yard.sender, offers.sender], tabs)
export const tray = createTray(storage, queue, tabs)

watchEffect(() => (unsent.value = queue.total.value + tray.items.value.length))
