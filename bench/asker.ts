import { connect, type Socket } from 'node:net'

/*
 * The least that can ask a server over HTTP: what asks must not take the machine from what answers. It knows answers
 * with a length and answers in chunks, one at a time on each connection.
 */

export interface Asker {
  /** @returns the body of the answer. @throws Error for any answer that is none of success */
  ask: (method: string, path: string, body?: string) => Promise<string>
  close: () => void
}

export async function newAsker(port: number, cookie: string): Promise<Asker> {
  const socket: Socket = connect({ port, host: '127.0.0.1', noDelay: true })
  await new Promise<void>((resolve, reject) => {
    socket.once('connect', resolve)
    socket.once('error', reject)
  })
  const head = `HTTP/1.1\r\nhost: localhost:${port}\r\ncookie: ${cookie}\r\n`
  let heard = Buffer.alloc(0)
  let waiting: { resolve: (body: string) => void; reject: (error: Error) => void } | undefined
  const fail = (error: Error) => waiting?.reject(error)
  socket.on('error', fail)
  socket.on('close', () => fail(new Error('the connection was closed')))
  socket.on('data', (part) => {
    heard = heard.length === 0 ? part : Buffer.concat([heard, part])
    const end = heard.indexOf('\r\n\r\n')
    if (end < 0) return
    const said = heard.toString('latin1', 0, end)
    const body = bodyOf(said, heard.subarray(end + 4))
    if (body === undefined) return
    heard = Buffer.alloc(0)
    const { resolve, reject } = waiting!
    waiting = undefined
    const status = Number(said.slice(9, 12))
    if (status < 300) resolve(body.toString('utf8'))
    else reject(new Error(`${status} ${body.toString('utf8').slice(0, 200)}`))
  })
  return {
    ask: (method, path, body) =>
      new Promise((resolve, reject) => {
        waiting = { resolve, reject }
        const about =
          body === undefined ? '' : `content-type: application/json\r\ncontent-length: ${Buffer.byteLength(body)}\r\n`
        socket.write(`${method} ${path} ${head}${about}\r\n${body ?? ''}`)
      }),
    close: () => socket.destroy(),
  }
}

/** @returns nothing while it is not whole */
function bodyOf(head: string, rest: Buffer): Buffer | undefined {
  const length = /content-length: (\d+)/i.exec(head)
  if (length) return rest.length < Number(length[1]) ? undefined : rest
  if (!/transfer-encoding: chunked/i.test(head)) return rest
  const parts: Buffer[] = []
  for (let at = 0; ; ) {
    const line = rest.indexOf('\r\n', at)
    if (line < 0) return undefined
    const size = Number.parseInt(rest.toString('latin1', at, line), 16)
    if (rest.length < line + 2 + size + 2) return undefined
    if (size === 0) return Buffer.concat(parts)
    parts.push(rest.subarray(line + 2, line + 2 + size))
    at = line + 2 + size + 2
  }
}
