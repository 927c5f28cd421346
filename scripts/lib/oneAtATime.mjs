// One start command at a time for each checkout: a name that the system gives to one process and takes back when it ends.
import { createHash } from 'node:crypto'
import { connect, createServer } from 'node:net'
import { state } from './paths.mjs'

const NAME = `\0vindex-${createHash('sha256').update(state).digest('hex').slice(0, 32)}`

/**
 * Takes the name, if nobody has it.
 *
 * @param tell what is said to whoever asks: `{ pid, address }`
 * @returns whether it is ours now; given back by the system when this process ends, however it ends
 */
export function takeName(tell) {
  return new Promise((resolve, reject) => {
    const server = createServer((socket) => socket.on('error', () => {}).end(JSON.stringify(tell())))
    server.once('error', (error) => (error.code === 'EADDRINUSE' ? resolve(false) : reject(error)))
    server.listen(NAME, () => {
      server.unref()
      resolve(true)
    })
  })
}

/** What whoever has the name says; nothing when it has just gone. */
export function askHolder() {
  return new Promise((resolve) => {
    let said = ''
    connect(NAME)
      .setEncoding('utf8')
      .on('data', (text) => (said += text))
      .on('error', () => resolve(undefined))
      .on('close', () => resolve(said ? JSON.parse(said) : undefined))
  })
}
