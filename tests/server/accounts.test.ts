import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import mysql from 'mysql2/promise'
import { describe, expect, inject, it } from 'vitest'
import { state } from '../../scripts/lib/paths.mjs'

const folder = join(state, 'test-database')
const NOBODY = 65_534
const socketPath = join(folder, 'database.sock')

// A database that somebody else brings has accounts of its own.
describe.skipIf(process.env.DATABASE_URL)('the private database', () => {
  const { username, password, port } = new URL(inject('databaseUrl'))
  const ours = () => mysql.createConnection({ host: '127.0.0.1', port: Number(port), user: username, password })

  it('lets nobody in without a password', async () => {
    expect(existsSync(socketPath)).toBe(true)
    for (const user of ['root', '', 'vindex', 'mysql'])
      for (const way of [{ socketPath }, { host: '127.0.0.1', port: Number(port) }])
        await expect(mysql.createConnection({ ...way, user }), `${user} ${JSON.stringify(way)}`).rejects.toThrow()
    // The application's own password is not the root's.
    await expect(mysql.createConnection({ socketPath, user: 'root', password })).rejects.toThrow(/denied/i)
  })

  it('gives the application its own databases and nothing else', async () => {
    const connection = await ours()
    try {
      for (const statement of [
        'select * from mysql.global_priv',
        'create database elsewhere',
        "create user 'more'@'localhost'",
        "select 'x' into outfile '/tmp/vindex-outfile'",
        "select load_file('/etc/passwd') is not null as readable",
      ]) {
        const [rows] = await connection.query(statement).catch(() => [[{ readable: 0 }]])
        expect(rows, statement).toEqual([{ readable: 0 }])
      }
    } finally {
      await connection.end()
    }
  })

  it('runs as somebody who is not the root of the machine, and hides its folder from others', () => {
    const pid = readFileSync(join(folder, 'database.pid'), 'utf8')
    const [, uid] = /^Uid:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))!
    // Where nobody else can get to the checkout, it has to be root.
    const isReachable = spawnSync('test', ['-x', dirname(folder)], { uid: NOBODY, gid: NOBODY }).status === 0
    if (isReachable || process.getuid?.() !== 0) expect(Number(uid)).not.toBe(0)
    expect(statSync(join(folder, 'password')).mode & 0o077).toBe(0)
    if (process.getuid?.() === 0) expect(statSync(folder).mode & 0o077).toBe(0)
  })
})
