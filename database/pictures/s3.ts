import { createHash } from 'node:crypto'
import { once } from '../once'
import { StoreFailure, type PictureStore } from './store'

/** A store that does not answer within this is away, ms. */
const PATIENCE = { connectionTimeout: 3_000, requestTimeout: 15_000 }

/** Pictures in a store that speaks S3, whoever runs it. */
export function s3Store({ hostname: bucket, pathname, searchParams }: URL): PictureStore {
  const prefix = pathname.replace(/^\/+|\/+$/g, '')
  const endpoint = searchParams.get('endpoint')
  // Loaded by whoever has such a store.
  const opened = once(async () => {
    const { S3Client, ...commands } = await import('@aws-sdk/client-s3')
    const client = new S3Client({
      region: searchParams.get('region') ?? 'us-east-1',
      requestHandler: PATIENCE,
      // With one of their own a bucket is a folder, not a name of the network.
      ...(endpoint ? { endpoint, forcePathStyle: true } : {}),
    })
    return { client, ...commands }
  })
  const at = (key: string) => ({ Bucket: bucket, Key: prefix ? `${prefix}/${key}` : key })
  const failed = (error: unknown): never => {
    throw new StoreFailure(`the store of pictures does not answer: ${(error as Error).message}`, { cause: error })
  }
  return {
    async put(key, bytes) {
      const { client, PutObjectCommand } = await opened()
      const ChecksumSHA256 = createHash('sha256').update(bytes).digest('base64')
      await client.send(new PutObjectCommand({ ...at(key), Body: bytes, ChecksumSHA256 })).catch(failed)
    },
    async has(key) {
      const { client, HeadObjectCommand } = await opened()
      try {
        await client.send(new HeadObjectCommand(at(key)))
        return true
      } catch (error) {
        return (error as Error).name === 'NotFound' ? false : failed(error)
      }
    },
    async get(key) {
      const { client, GetObjectCommand } = await opened()
      try {
        const { Body } = await client.send(new GetObjectCommand(at(key)))
        return Buffer.from(await Body!.transformToByteArray())
      } catch (error) {
        return (error as Error).name === 'NoSuchKey' ? undefined : failed(error)
      }
    },
    async remove(key) {
      const { client, DeleteObjectCommand } = await opened()
      await client.send(new DeleteObjectCommand(at(key))).catch(failed)
    },
  }
}
