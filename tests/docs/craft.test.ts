import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'

const ROOMS = ['core', 'app', 'practice', 'simulator', 'server', 'demo', 'bench', 'tests', 'docs'] as const

it('what is cited of the craft stands in docs/craft.md', () => {
  const sections = new Set([...readFileSync('docs/craft.md', 'utf8').matchAll(/^#+ (\d+(?:\.\d+)?)\.? /gm)].map(([, number]) => number))
  const missing = ROOMS.flatMap((room) =>
    readdirSync(room, { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.(ts|vue|md)$/.test(file))
      .flatMap((file) => {
        const cited = [...readFileSync(join(room, file), 'utf8').matchAll(/\bcraft (\d+(?:\.\d+)?)/g)].map(([, number]) => number!)
        // A mistake of the list in section 6 is cited as 6.17.
        return cited.filter((n) => !sections.has(n.startsWith('6.') ? '6' : n)).map((n) => `${room}/${file}: craft ${n}`)
      })
  )
  expect(missing).toEqual([])
})
