import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

interface Locked { version?: string, integrity?: string, inBundle?: true, link?: true, hasInstallScript?: true }
const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8')) as { packages: Record<string, Locked> }
const locked = Object.entries(packages).filter(([path]) => path !== '')

it('every package is what the lock file says, byte for byte; one that comes inside another is checked with that', () => {
  expect(locked.filter(([, p]) => !p.integrity && !p.inBundle && !p.link).map(([path]) => path)).toEqual([])
})

/** Packages that would run something when they are installed, each with what becomes of it (`allowScripts` in package.json). */
const SCRIPTS: Record<string, string> = {
  'esbuild': 'checks that its binary came, which a package of its own brings: not run',
  'unrs-resolver': 'the same',
  'vue-demi': 'picks Vue 2 or 3 by rewriting itself; it comes set for Vue 3: not run'
}
it('what wants to run a script at its installation is known, and not let', () => {
  const wants = locked.filter(([, p]) => p.hasInstallScript).map(([path]) => path.split('node_modules/').at(-1)!)
  expect([...new Set(wants)].sort()).toEqual(Object.keys(SCRIPTS).sort())
  const { allowScripts } = JSON.parse(readFileSync('package.json', 'utf8')) as { allowScripts: Record<string, boolean> }
  expect(Object.keys(SCRIPTS).map((name) => allowScripts[name])).toEqual(Object.keys(SCRIPTS).map(() => false))
})
