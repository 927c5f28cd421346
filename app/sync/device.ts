import { api } from './api'
import { editsSender } from './edits'
import { createOffers } from './offers'
import { createPictures } from './pictures'
import { createQueue } from './queue'
import { DeviceStorage } from './storage'
import { createTabs } from './tabs'
import { createTray } from './tray'
import { createYard } from './yard'

/* This device's own storage and queue: made once, shared by all screens. */

export const storage = new DeviceStorage()
const tabs = createTabs(storage.name)
export const edits = editsSender(storage, api, tabs)
export const pictures = createPictures(storage, api, () => queue)
export const yard = createYard(storage, api, () => queue, tabs)
export const offers = createOffers(storage, api, () => queue, tabs)
export const queue = createQueue(storage, [edits, pictures.sender, yard.sender, offers.sender], tabs)
export const tray = createTray(storage, queue, tabs)
