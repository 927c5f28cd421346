import mysql from 'mysql2/promise'

/** Makes the database of this address anew, empty. */
export const recreate = (url) =>
  inServer(url, (name) => [`drop database if exists ${name}`, `create database ${name} character set utf8mb4`])

export const drop = (url) => inServer(url, (name) => [`drop database if exists ${name}`])

async function inServer(url, statements) {
  const { hostname, port, username, password, pathname } = new URL(url)
  const connection = await mysql.createConnection({
    host: hostname,
    port: Number(port || 3306),
    user: decodeURIComponent(username),
    password: decodeURIComponent(password),
  })
  try {
    for (const statement of statements(mysql.escapeId(pathname.slice(1)))) await connection.query(statement)
  } finally {
    await connection.end()
  }
}
