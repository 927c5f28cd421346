import { LARGEST } from '~~/core/limits'

/** Longest edge that is sent: a crack shows, and a weak signal carries it. */
const LONGEST_EDGE = 1600
const QUALITY = 0.85

export interface PreparedPhotograph {
  blob: Blob
  pixelWidth: number
  pixelHeight: number
  place?: { latitude: number; longitude: number }
}

/**
 * A photograph made ready on the device: turned upright, made small, and drawn anew, so that nothing of what the
 * camera wrote into the file goes along. Its place goes only where somebody asks for it.
 *
 * @throws Error with words for the person, when the file is too large or no picture
 */
export async function preparePhotograph(file: File, keepPlace: boolean): Promise<PreparedPhotograph> {
  if (file.size > LARGEST.original)
    throw new Error(
      `${file.name} has ${(file.size / 1e6).toFixed(0)} MB; a photograph has ${LARGEST.original / 1e6} MB at most.`,
    )
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error(`${file.name} is no picture that can be read here. Take a JPEG or PNG.`)
  })
  const scale = Math.min(1, LONGEST_EDGE / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(bitmap.width * scale))
  canvas.height = Math.max(1, Math.round(bitmap.height * scale))
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY))
  if (!blob) throw new Error(`${file.name} could not be made smaller on this device.`)
  const place = keepPlace ? await placeOf(file) : undefined
  return { blob, pixelWidth: canvas.width, pixelHeight: canvas.height, ...(place ? { place } : {}) }
}

async function placeOf(file: File): Promise<{ latitude: number; longitude: number } | undefined> {
  const { gps } = await import('exifr')
  const found = await gps(file).catch(() => undefined)
  return found && Number.isFinite(found.latitude) ? { latitude: found.latitude, longitude: found.longitude } : undefined
}
