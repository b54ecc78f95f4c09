import { mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { addVitePlugin, defineNuxtModule } from 'nuxt/kit'

/** Fonts and icons come in as files, not as modules; their texts go out all the same. */
const AS_FILES = ['@fontsource-variable/atkinson-hyperlegible-next', '@fontsource-variable/besley', '@iconify-json/lucide']

/** What the server ships beside the page; a test holds this list against what lies beside the built server. */
const BY_SERVER = [
  ...['nitropack', 'h3', 'ofetch', 'destr', 'defu', 'ufo', 'hookable', 'unstorage', 'unctx', 'radix3', 'cookie-es', 'scule', 'ohash',
    'klona'],
  ...['tinypool', 'highs', 'zod', 'ml-matrix', '@iconify/utils', 'consola', 'devalue', 'entities', 'estree-walker', 'source-map-js'],
  ...['vue-bundle-renderer', 'unhead', 'vue', '@vue/server-renderer', '@vue/compiler-dom', '@vue/compiler-core', '@vue/compiler-ssr'],
  ...['@vue/shared', '@vue/reactivity', '@vue/runtime-core', '@vue/runtime-dom', '@babel/parser', '@unhead/vue']
]

interface Shipped {
  name: string
  version: string
  license?: string
  text: string
}

/** The package that a module is part of; `findLast`, because packages stand inside packages. */
function packageOf(moduleId: string): string | undefined {
  const parts = moduleId.split('?')[0]!.split('/node_modules/')
  if (parts.length < 2) return undefined
  const [first, second] = parts.at(-1)!.split('/')
  return [...parts.slice(0, -1), first!.startsWith('@') ? `${first}/${second}` : first].join('/node_modules/').replace(/^\0/, '')
}

function shippedFrom(dir: string): Shipped | undefined {
  try {
    const { name, version, license } = JSON.parse(readFileSync(join(dir, 'package.json'), 'utf8'))
    const files = readdirSync(dir).filter((f) => /^(licen[cs]e|copying)/i.test(f))
    return { name, version, license, text: files.map((f) => readFileSync(join(dir, f), 'utf8').trim()).join('\n\n') }
  }
  catch {
    return undefined
  }
}

/** The licence texts of all that the page is made of, in one file beside it. */
export default defineNuxtModule({
  meta: { name: 'licences' },
  setup(_options, nuxt) {
    if (nuxt.options.dev) return
    const dirs = new Set(AS_FILES.map((name) => join(nuxt.options.rootDir, 'node_modules', name)))
    const take = {
      name: 'presk:licences',
      moduleParsed({ id }: { id: string }) {
        const dir = packageOf(id)
        if (dir) dirs.add(dir)
      }
    }
    addVitePlugin(take, { server: false })
    // Workers are bundled apart, with plugins of their own.
    nuxt.options.vite.worker = { ...nuxt.options.vite.worker, plugins: () => [take] }
    nuxt.hook('nitro:init', (nitro) => {
      for (const name of BY_SERVER) dirs.add(join(nuxt.options.rootDir, 'node_modules', name))
      // Before the server is bundled: it serves only what lies in the folder then.
      nitro.hooks.hook('rollup:before', () => {
        const shipped = new Map([...dirs].flatMap((dir) => shippedFrom(dir) ?? []).map((s) => [`${s.name} ${s.version}`, s]))
        const parts = [...shipped.keys()].sort().map((key) => {
          const { license, text } = shipped.get(key)!
          return `${key} `
            + `(${license ?? 'states no licence'})\n${'='.repeat(key.length)}\n\n${text || 'The package has no licence text of its own.'}\n`
        })
        const path = join(nitro.options.output.publicDir, 'licences.txt')
        mkdirSync(dirname(path), { recursive: true })
        writeFileSync(path, `Presk is made with these packages. Each stands under its own licence.\n\n${parts.join('\n\n')}`)
      })
    })
  }
})
