import sharp from 'sharp'

/* Photographs as cameras write them, made for the tests. */

/**
 * A picture lying on its side, as a phone stores it: red on the left as stored, so red on top once it is upright. Its
 * place is written into it.
 */
export async function sidewaysPhotograph(width = 400, height = 300): Promise<Buffer> {
  const half = await sharp({ create: { width: width / 2, height, channels: 3, background: '#c02020' } })
    .png()
    .toBuffer()
  return sharp({ create: { width, height, channels: 3, background: '#2040c0' } })
    .composite([{ input: half, left: 0, top: 0 }])
    .withExif({
      IFD0: { Make: 'Trial', Orientation: '6' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '54/1 1/1 12/1', GPSLongitudeRef: 'E', GPSLongitude: '2/1 3/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg({ quality: 90 })
    .toBuffer()
}

/** A photograph of noise: nothing in it can be pressed together, so it is as large as a camera's. */
export async function largePhotograph(atLeast: number): Promise<Buffer> {
  const width = 4000
  const height = 3000
  let state = 1
  const noise = Buffer.alloc(width * height * 3)
  for (let i = 0; i < noise.length; i++) {
    state = (state * 1_103_515_245 + 12_345) & 0x7fffffff
    noise[i] = state >> 16
  }
  for (const quality of [70, 85, 95, 100]) {
    const picture = await sharp(noise, { raw: { width, height, channels: 3 } })
      .jpeg({ quality })
      .toBuffer()
    if (picture.length >= atLeast) return picture
  }
  throw new Error('no picture is that large')
}
