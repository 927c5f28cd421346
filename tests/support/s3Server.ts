import { createHash } from 'node:crypto'
import { createServer, type IncomingMessage } from 'node:http'
import type { AddressInfo } from 'node:net'

export interface S3Server {
  address: string
  /** What lies there, by its path. */
  objects: Map<string, Buffer>
  /** Answers nothing but faults. */
  fails: boolean
  stop: () => Promise<void>
}

async function bodyOf(request: IncomingMessage): Promise<Buffer> {
  const parts: Buffer[] = []
  for await (const part of request) parts.push(part as Buffer)
  return Buffer.concat(parts)
}

/** The few things of the S3 protocol that a store of pictures asks for: signed, put with its checksum, got, deleted. */
export async function s3Server(): Promise<S3Server> {
  const objects = new Map<string, Buffer>()
  const server = createServer(async (request, response) => {
    const [path] = request.url!.split('?') as [string]
    const body = await bodyOf(request)
    const refuse = (status: number, code: string) =>
      response
        .writeHead(status, { 'content-type': 'application/xml' })
        .end(`<?xml version="1.0"?><Error><Code>${code}</Code><Message>${code}</Message></Error>`)
    if (here.fails) return refuse(503, 'SlowDown')
    if (!request.headers.authorization?.startsWith('AWS4-HMAC-SHA256 ')) return refuse(403, 'AccessDenied')
    if (request.method === 'PUT') {
      const sum = createHash('sha256').update(body).digest('base64')
      if (request.headers['x-amz-checksum-sha256'] !== sum) return refuse(400, 'BadDigest')
      objects.set(path, body)
      return response.writeHead(200).end()
    }
    if (request.method === 'DELETE') {
      objects.delete(path)
      return response.writeHead(204).end()
    }
    const found = objects.get(path)
    if (request.method === 'HEAD') return response.writeHead(found ? 200 : 404).end()
    return found ? response.writeHead(200, { 'content-length': found.length }).end(found) : refuse(404, 'NoSuchKey')
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const here: S3Server = {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    objects,
    fails: false,
    async stop() {
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
    },
  }
  return here
}
