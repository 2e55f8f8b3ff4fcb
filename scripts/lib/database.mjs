import { spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
  openSync,
} from 'node:fs'
import { connect } from 'node:net'
import { tmpdir } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { find, installMissing } from './debian.mjs'
import { freePort, isFree } from './ports.mjs'
import { end, isAlive, run, wait } from './run.mjs'
import { say, Trouble } from './say.mjs'

/** A socket's path may have this many bytes and no more. */
const LONGEST_SOCKET = 107
const USER = 'fingerling'
const NAME = 'fingerling'

const readJson = (path) => {
  try {
    return JSON.parse(readFileSync(path, 'utf8'))
  } catch {
    return null
  }
}

function idsOfMysql() {
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((l) => l.startsWith('mysql:'))
  if (!line) return null
  const [, , uid, gid] = line.split(':')
  return { uid: Number(uid), gid: Number(gid) }
}

/** True when any user can pass through every folder above. */
function passable(folder) {
  for (let path = resolve(folder); ; path = dirname(path)) {
    if ((statSync(path).mode & 0o001) === 0) return false
    if (path === dirname(path)) return true
  }
}

/** As root the server runs as user mysql where it can reach the folder; otherwise as whoever starts it. */
function runAs(folder) {
  if (process.getuid?.() !== 0) return { args: [], own: () => {} }
  const mysql = idsOfMysql()
  if (!mysql || !passable(dirname(folder))) return { args: ['--user=root'], own: () => {} }
  return { args: ['--user=mysql'], own: (path) => chownSync(path, mysql.uid, mysql.gid) }
}

function greeted(port) {
  return new Promise((resolve) => {
    const socket = connect({ port, host: '127.0.0.1' })
    const done = (yes) => {
      socket.destroy()
      resolve(yes)
    }
    socket.setTimeout(1000, () => done(false))
    socket.once('data', () => done(true))
    socket.once('error', () => done(false))
    socket.once('close', () => done(false))
  })
}

/** What the application needs to reach the database: kept in the data folder, readable by its owner only. */
function credentials(data) {
  const path = join(data, 'database.json')
  const known = readJson(path)
  if (known?.password) return known
  const made = { user: USER, database: NAME, password: randomBytes(24).toString('base64url') }
  writeFileSync(path, JSON.stringify(made, null, 2), { mode: 0o600 })
  return made
}

/** Makes the database and a user with rights on nothing else; run by the server itself at each start, so it heals. */
function initFile(folder, { user, password, database }, own) {
  const path = join(folder, 'init.sql')
  const who = `'${user}'@'127.0.0.1'`
  const lines = [
    `CREATE DATABASE IF NOT EXISTS \`${database}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`,
    `CREATE USER IF NOT EXISTS ${who} IDENTIFIED BY '${password}'`,
    `ALTER USER ${who} IDENTIFIED BY '${password}'`,
    `GRANT ALL PRIVILEGES ON \`${database}\`.* TO ${who}`,
  ]
  writeFileSync(path, lines.map((line) => `${line};\n`).join(''), { mode: 0o600 })
  own(path)
  return path
}

/**
 * Starts MariaDB on the loopback address with its data in the project's own folder, making it first when it is new.
 * A server left over from a start that was killed is ended first, so that two never share a folder.
 * @param {string} data the data folder, absolute @param {{port?: number}} options
 */
export async function startDatabase(data, { port: wanted } = {}) {
  await installMissing({ mariadbd: 'mariadb-server', 'mariadb-install-db': 'mariadb-server' })
  mkdirSync(data, { recursive: true })
  const access = credentials(data)
  const folder = join(data, 'mariadb')
  const { args: asUser, own } = runAs(folder)

  const before = readJson(join(data, 'running-database.json'))
  if (await isAlive(before?.pid, folder)) {
    say('ending a database left over from before …')
    await end(before.pid, folder, 20000)
  }
  // a folder of its own for what the database keeps for a moment: one that starts clears away what it finds of another's
  const temporary = join(data, 'mariadb-temporary')
  mkdirSync(temporary, { recursive: true, mode: 0o700 })
  own(temporary)
  // a new folder is made beside its place and moved there when it is whole: a start that is killed leaves no half of one
  if (!existsSync(folder)) {
    say('making the database …')
    const half = `${folder}.new`
    rmSync(half, { recursive: true, force: true })
    mkdirSync(half, { mode: 0o700 })
    own(half)
    const extra = asUser.length > 0 ? asUser : [`--auth-root-socket-user=${process.env.USER ?? 'root'}`]
    await run(
      find('mariadb-install-db'),
      [
        '--no-defaults',
        ...extra,
        `--datadir=${half}`,
        '--auth-root-authentication-method=socket',
        '--skip-test-db',
        '--skip-name-resolve',
      ],
      { quiet: true, env: { TMPDIR: temporary } },
    )
    const { renameSync } = await import('node:fs')
    renameSync(half, folder)
  }
  if (wanted && !(await isFree(wanted)))
    throw new Trouble(`Port ${wanted} is taken; give the database another with --db-port.`)
  const port = wanted ?? (await freePort(13306))
  let socket = join(folder, 'mariadb.sock')
  if (Buffer.byteLength(socket) > LONGEST_SOCKET) {
    const place = mkdtempSync(join(tmpdir(), 'fingerling-'))
    own(place)
    chmodSync(place, 0o700)
    socket = join(place, 'mariadb.sock')
  }
  const log = openSync(join(data, 'mariadb.log'), 'a')
  const child = spawn(
    find('mariadbd'),
    [
      '--no-defaults',
      ...asUser,
      `--datadir=${folder}`,
      `--socket=${socket}`,
      `--pid-file=${join(folder, 'mariadb.pid')}`,
      `--port=${port}`,
      '--bind-address=127.0.0.1',
      '--skip-name-resolve',
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_unicode_ci',
      '--default-time-zone=+00:00',
      '--sql-mode=STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,ERROR_FOR_DIVISION_BY_ZERO',
      '--innodb-flush-log-at-trx-commit=1',
      `--init-file=${initFile(folder, access, own)}`,
    ],
    { stdio: ['ignore', log, log], detached: true, env: { ...process.env, TMPDIR: temporary } },
  )
  writeFileSync(join(data, 'running-database.json'), JSON.stringify({ pid: child.pid, port }))
  const ended = new Promise((resolve) => child.once('close', resolve))
  let over = false
  void ended.then(() => (over = true))
  for (let waited = 0; !(await greeted(port)); waited += 100) {
    if (over || waited > 60000) {
      throw new Trouble(
        `The database did not start; the last of ${join(data, 'mariadb.log')}:\n${readFileSync(join(data, 'mariadb.log'), 'utf8').slice(-1500)}`,
      )
    }
    await wait(100)
  }
  return {
    port,
    pid: child.pid,
    env: {
      FINGERLING_DB_HOST: '127.0.0.1',
      FINGERLING_DB_PORT: String(port),
      FINGERLING_DB_USER: access.user,
      FINGERLING_DB_PASSWORD: access.password,
      FINGERLING_DB_NAME: access.database,
    },
    ended,
    stop: () => end(child.pid, folder, 20000),
    kill: () => process.kill(child.pid, 'SIGKILL'),
  }
}
