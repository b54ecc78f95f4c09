import { spawnSync } from 'node:child_process'
import { resolve } from 'node:path'
import { ensureDeps, root } from './lib.mjs'

ensureDeps()
// esbuild only now: it is not there before the install.
const { buildSync } = await import('esbuild')
const out = resolve(root, 'node_modules/.cache/presk-bench.mjs')
buildSync({
  entryPoints: [resolve(root, 'bench/main.ts')],
  bundle: true,
  format: 'esm',
  platform: 'node',
  outfile: out,
  packages: 'external',
  logLevel: 'error',
  alias: { '~~': root }
})
process.exit(spawnSync(process.execPath, [out, ...process.argv.slice(2)], { stdio: 'inherit', cwd: root }).status ?? 1)
