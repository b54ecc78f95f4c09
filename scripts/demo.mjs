import { spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { resolve } from 'node:path'
import { bin, ensureDeps, env, root, summary } from './lib.mjs'

const freePort = start => new Promise((done) => {
  const s = createServer()
  s.once('error', () => done(freePort(start + 1)))
  s.listen(start, 'localhost', () => s.close(() => done(start)))
})

ensureDeps()
bin('build', 'nuxt', ['build'])
summary()
const port = await freePort(Number(process.env.PORT ?? 3000))
const server = spawn(process.execPath, [resolve(root, '.output/server/index.mjs')], {
  stdio: 'inherit',
  env: { ...env, PORT: String(port), HOST: process.env.HOST ?? 'localhost', NODE_ENV: 'production' }
})
console.log(`\n  Presk with its demo cellar: http://localhost:${port}/?cellar=demo   (Ctrl+C stops it)\n`)
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('exit', code => process.exit(code ?? 0))
