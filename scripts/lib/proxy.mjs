// nginx from Debian in front of several servers, on loopback.
import { spawn } from 'node:child_process'
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { freePort } from './database.mjs'
import { findProgram } from './setup.mjs'

/** Starts a proxy before servers of this machine. Gives its port and `stop`. */
export async function startProxy(folder, ports) {
  mkdirSync(folder, { recursive: true })
  const port = await freePort()
  const file = join(folder, 'nginx.conf')
  writeFileSync(file, settings({ folder, port, ports }))
  const child = spawn(findProgram('nginx'), ['-c', file, '-e', join(folder, 'nginx.log')], { stdio: 'ignore' })
  const ended = new Promise((resolve) => child.once('exit', resolve))
  return {
    port,
    stop: async () => {
      child.kill('SIGTERM')
      await ended
    },
  }
}

/** As docs/at-scale.md has it, without TLS. */
const settings = ({ folder, port, ports }) => `
daemon off;
pid ${join(folder, 'nginx.pid')};
worker_processes 2;
events { worker_connections 1024; }
http {
  access_log off;
  client_body_temp_path ${join(folder, 'body')};
  proxy_temp_path ${join(folder, 'proxy')};
  fastcgi_temp_path ${join(folder, 'fastcgi')};
  uwsgi_temp_path ${join(folder, 'uwsgi')};
  scgi_temp_path ${join(folder, 'scgi')};
  client_max_body_size 25m;
  upstream vindex {
    ${ports.map((each) => `server 127.0.0.1:${each} max_fails=1 fail_timeout=2s;`).join('\n    ')}
    keepalive 64;
  }
  server {
    listen 127.0.0.1:${port};
    location / {
      proxy_pass http://vindex;
      proxy_http_version 1.1;
      proxy_set_header Connection "";
      proxy_set_header Host $http_host;
      proxy_set_header X-Forwarded-For $remote_addr;
      proxy_set_header X-Forwarded-Proto $scheme;
      proxy_connect_timeout 1s;
      proxy_read_timeout 30s;
      # A write that may have got through is not sent again by the proxy: the device does that, by its name.
      proxy_next_upstream error timeout http_502;
    }
  }
}
`
