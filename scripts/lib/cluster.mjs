// A MariaDB Galera cluster on this machine: on loopback, or each node in a network of its own that can be cut.
import { spawn, spawnSync } from 'node:child_process'
import { cpSync, existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import mysql from 'mysql2/promise'
import { freePort } from './database.mjs'
import { state } from './paths.mjs'
import { ensurePrograms, findProgram, run } from './setup.mjs'

const PROVIDER = '/usr/lib/galera/libgalera_smm.so'
const SYNCED_WITHIN = 60_000
const ACCOUNT = 'vindex'
/** Where the words stand by which one node tells another that it may catch up from its log. */
const TRANSFER = join(state, 'galera')

/** What a cluster needs on a bare machine. */
export async function ensureCluster() {
  await ensurePrograms({ nginx: 'nginx-light', ip: 'iproute2' })
  if (!existsSync(PROVIDER)) run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'galera-4'])
  mkdirSync(TRANSFER, { recursive: true })
  writeFileSync(join(TRANSFER, 'wsrep_sst_same_disk'), SAME_DISK, { mode: 0o755 })
}

/**
 * Nodes of these tests begin as copies and keep their log, so that none has to be sent everything: the two ends agree
 * on where to go on. In earnest this is `rsync` or `mariabackup`, see docs/at-scale.md.
 */
const SAME_DISK = `#!/bin/sh
while [ $# -gt 0 ]; do
  case "$1" in
    --role) role="$2"; shift ;;
    --address) address="$2"; shift ;;
    --datadir) data="$2"; shift ;;
    --gtid) gtid="$2"; shift ;;
    --bypass) bypass=yes ;;
  esac
  shift
done
if [ "$role" = joiner ]; then
  rm -f "$data/goes-on-from"
  echo "ready $address$data"
  for i in $(seq 600); do
    if [ -s "$data/goes-on-from" ]; then cat "$data/goes-on-from"; exit 0; fi
    sleep 0.1
  done
  exit 1
fi
[ "$bypass" = yes ] || exit 1
echo continue
echo "$gtid" > "/\${address#*/}/goes-on-from"
echo "done $gtid"
`

/**
 * Starts a cluster in a folder that is made anew.
 *
 * `networks` gives each node an address and the words that run a program in its network, see `loopback` and
 * `namespaces`. Gives `nodes`, each with its `url(name)`, `kill`, `start`, `isSynced`; and `stop`.
 */
export async function startCluster(folder, networks) {
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  const ports = await Promise.all(networks.map(() => nodePorts()))
  const members = networks.map(({ address }, i) => `${address}:${ports[i].group}`).join(',')
  const password = 'for-tests-on-this-machine'
  const seed = join(folder, 'seed')
  makeData(seed)
  const nodes = networks.map((network, i) => nodeOf({ folder, seed, network, ports: ports[i], members, i, password }))
  await nodes[0].start({ isNew: true })
  await nodes[0].grant()
  // The others begin as copies of what the first one had, and catch up from its log.
  await nodes[0].stop()
  for (const node of nodes.slice(1)) node.copyFrom(nodes[0])
  await nodes[0].start({ isNew: true })
  for (const node of nodes.slice(1)) await node.start()
  return { nodes, stop: () => Promise.all(nodes.map((node) => node.kill())) }
}

const nodePorts = async () => ({ sql: await freePort(), group: await freePort(), catchUp: await freePort() })

function makeData(data) {
  const words = ['--no-defaults', '--user=root', `--datadir=${data}`, '--auth-root-authentication-method=normal']
  const made = spawnSync(findProgram('mariadb-install-db'), [...words, '--skip-test-db'], { stdio: 'ignore' })
  if (made.status !== 0) throw new Error('the data of a node could not be made')
}

function nodeOf({ folder, seed, network, ports, members, i, password }) {
  const data = join(folder, `node-${i}`)
  const socketPath = join(folder, `node-${i}.sock`)
  if (i === 0) cpSync(seed, data, { recursive: true })
  let child
  let ended = Promise.resolve()
  const words = [
    '--no-defaults',
    '--user=root',
    `--datadir=${data}`,
    `--socket=${socketPath}`,
    `--pid-file=${data}.pid`,
    `--bind-address=${network.address}`,
    `--port=${ports.sql}`,
    '--skip-name-resolve',
    '--character-set-server=utf8mb4',
    '--default-time-zone=+00:00',
    '--innodb-buffer-pool-size=64M',
    '--binlog-format=ROW',
    '--innodb-autoinc-lock-mode=2',
    // What was acknowledged is on this node's disk, were all of them killed at once.
    '--innodb-flush-log-at-trx-commit=1',
    '--wsrep-on=ON',
    `--wsrep-provider=${PROVIDER}`,
    '--wsrep-cluster-name=vindex',
    `--wsrep-cluster-address=gcomm://${members}`,
    `--wsrep-node-name=node-${i}`,
    `--wsrep-node-address=${network.address}`,
    '--wsrep-slave-threads=4',
    '--wsrep-sst-method=same_disk',
    [
      `--wsrep-provider-options=base_host=${network.address}`,
      `base_port=${ports.group}`,
      `gmcast.listen_addr=tcp://${network.address}:${ports.group}`,
      `ist.recv_addr=${network.address}:${ports.catchUp}`,
      'gcache.size=256M',
      'gcache.recover=yes',
      'evs.suspect_timeout=PT2S',
      'evs.inactive_timeout=PT4S',
      'evs.inactive_check_period=PT0.5S',
      'evs.keepalive_period=PT0.5S',
    ].join(';'),
  ]
  const spawnNode = (more) => {
    const log = openSync(`${data}.log`, 'a')
    const [program, ...before] = [...network.within, findProgram('mariadbd')]
    const env = { ...process.env, PATH: `${TRANSFER}:${process.env.PATH}:/usr/sbin:/sbin` }
    return spawn(program, [...before, ...words, ...more], { stdio: ['ignore', log, log], env })
  }
  const query = async (statement) => {
    const connection = await mysql.createConnection({ socketPath, user: 'root', connectTimeout: 2_000 })
    try {
      return (await connection.query(statement))[0]
    } finally {
      connection.destroy()
    }
  }
  const isSynced = () =>
    query("show status like 'wsrep_ready'")
      .then(([row]) => row?.Value === 'ON')
      .catch(() => false)
  const node = {
    i,
    network,
    data,
    query,
    isSynced,
    url: (name) => `mysql://${ACCOUNT}:${password}@${network.address}:${ports.sql}/${name}`,
    host: `${network.address}:${ports.sql}`,
    password,
    grant: async () => {
      await query(`create user '${ACCOUNT}'@'%' identified by '${password}'`)
      await query(`grant all on *.* to '${ACCOUNT}'@'%'`)
      await query('create database if not exists vindex character set utf8mb4')
    },
    copyFrom: (other) => cpSync(other.data, data, { recursive: true }),
    /** @param isNew whether it begins the cluster; else it joins the others and catches up */
    async start({ isNew = false } = {}) {
      const position = existsSync(join(data, 'grastate.dat')) && !isNew ? recovered(words, network) : undefined
      child = spawnNode([
        ...(isNew ? ['--wsrep-new-cluster'] : []),
        ...(position ? [`--wsrep-start-position=${position}`] : []),
      ])
      const started = child
      ended = new Promise((resolve) => started.once('exit', resolve))
      for (const until = Date.now() + SYNCED_WITHIN; Date.now() < until; await pause(100)) {
        if (started.exitCode !== null) throw new Error(`node ${i} ended: ${lastWords(`${data}.log`)}`)
        if (await isSynced()) return
      }
      throw new Error(`node ${i} did not come in: ${lastWords(`${data}.log`)}`)
    },
    async kill() {
      child?.kill('SIGKILL')
      await ended
    },
    async stop() {
      child?.kill('SIGTERM')
      await ended
    },
  }
  return node
}

/** Where a node that was killed had got to: it catches up from there. */
function recovered(words, network) {
  const [program, ...before] = [...network.within, findProgram('mariadbd')]
  const { stdout, stderr } = spawnSync(program, [...before, ...words, '--wsrep-recover'], { encoding: 'utf8' })
  return /Recovered position:\s*(\S+)/.exec(`${stdout}${stderr}`)?.[1]
}

const lastWords = (file) => readFileSync(file, 'utf8').split('\n').slice(-6).join(' | ')

/** Nodes that share this machine's loopback. */
export const loopback = (size) => Array.from({ length: size }, () => ({ address: '127.0.0.1', within: [] }))

/**
 * Nodes in networks of their own, joined by a bridge, as far as this account may make such: `cut(i)` pulls the plug of
 * one, `mend(i)` puts it back.
 */
export function namespaces(size) {
  const ip = (...words) => {
    const { status, stderr } = spawnSync('ip', words, { encoding: 'utf8' })
    if (status !== 0) throw new Error(`ip ${words.join(' ')}: ${stderr.trim()}`)
  }
  const name = (i) => `vindex-${process.pid}-${i}`
  const link = (i) => `vx${process.pid}${i}`.slice(0, 14)
  const bridge = `vxb${process.pid}`.slice(0, 14)
  ip('link', 'add', bridge, 'type', 'bridge')
  ip('addr', 'add', '10.77.0.254/24', 'dev', bridge)
  ip('link', 'set', bridge, 'up')
  const networks = Array.from({ length: size }, (_, i) => {
    const address = `10.77.0.${i + 1}`
    ip('netns', 'add', name(i))
    ip('link', 'add', link(i), 'type', 'veth', 'peer', 'name', 'eth0', 'netns', name(i))
    ip('link', 'set', link(i), 'master', bridge, 'up')
    ip('-n', name(i), 'addr', 'add', `${address}/24`, 'dev', 'eth0')
    ip('-n', name(i), 'link', 'set', 'eth0', 'up')
    ip('-n', name(i), 'link', 'set', 'lo', 'up')
    return { address, within: ['ip', 'netns', 'exec', name(i)] }
  })
  return {
    networks,
    /** Where the servers are: this end of the bridge. */
    cut: (i) => ip('link', 'set', link(i), 'down'),
    mend: (i) => ip('link', 'set', link(i), 'up'),
    remove() {
      for (let i = 0; i < size; i++) spawnSync('ip', ['netns', 'del', name(i)])
      spawnSync('ip', ['link', 'del', bridge])
    },
  }
}
