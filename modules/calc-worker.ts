import { join } from 'node:path'
import { build } from 'esbuild'
import { defineNuxtModule } from 'nuxt/kit'

/** The server's calculations, bundled once more for its worker threads and put beside it; the solver stays a package of the server's. */
export default defineNuxtModule({
  meta: { name: 'calc-worker' },
  setup(_options, nuxt) {
    if (nuxt.options.dev) return
    nuxt.hook('nitro:init', (nitro) => {
      nitro.hooks.hook('compiled', async () => {
        await build({
          entryPoints: [join(nuxt.options.rootDir, 'server/calc/calc.worker.ts')],
          outfile: join(nitro.options.output.serverDir, 'calc-worker.mjs'),
          bundle: true,
          format: 'esm',
          platform: 'node',
          target: 'node20',
          external: ['highs'],
          alias: { '~~': nuxt.options.rootDir, '~': join(nuxt.options.rootDir, 'app') },
          logLevel: 'error'
        })
      })
    })
  }
})
