// The driver behind Node's own HTTP and nothing else: runs the statements that it is sent, and answers with the last rows.
import { createServer } from 'node:http'
import mysql from 'mysql2/promise'

const pool = mysql.createPool({ uri: process.env.BARE_URL, connectionLimit: Number(process.env.BARE_CONNECTIONS) })
const server = createServer(async (request, response) => {
  let text = ''
  for await (const part of request.setEncoding('utf8')) text += part
  const connection = await pool.getConnection()
  let rows
  for (const each of JSON.parse(text)) [rows] = await connection.query(each)
  connection.release()
  const body = JSON.stringify(rows)
  response.writeHead(200, { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) }).end(body)
})
server.listen(0, '127.0.0.1', () => process.send(server.address().port))
process.on('disconnect', () => process.exit())
