import { createHash } from 'node:crypto'
import { defineNuxtModule } from 'nuxt/kit'

/**
 * A strict content security policy without 'unsafe-inline' for scripts. The shell is prerendered, so the hashes of its
 * inline scripts are known at build time, before the server is bundled, and go into the header of every answer.
 */
const policy = (hashes: string[]): string =>
  [
    `default-src 'self'`,
    // The solver of racking day is WebAssembly; nothing wider than that is let in.
    `script-src 'self' 'wasm-unsafe-eval' ${hashes.join(' ')}`,
    // Nuxt UI and the charts write style elements at run time.
    `style-src 'self' 'unsafe-inline'`,
    `img-src 'self' data: blob:`,
    `font-src 'self'`,
    `connect-src 'self'`,
    `worker-src 'self'`,
    `object-src 'none'`,
    `base-uri 'none'`,
    `form-action 'none'`,
    `frame-ancestors 'none'`
  ].join('; ')

const OTHER_HEADERS = {
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'no-referrer',
  'X-Frame-Options': 'DENY',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Permissions-Policy': 'camera=(self), geolocation=(), microphone=(), payment=(), usb=()'
}

export default defineNuxtModule({
  meta: { name: 'content-security' },
  setup(_options, nuxt) {
    if (nuxt.options.dev) return
    nuxt.hook('nitro:init', (nitro) => {
      const hashes = new Set<string>()
      nitro.hooks.hook('prerender:generate', (route) => {
        for (const [, attributes = '', body] of route.contents?.matchAll(/<script([^>]*)>([\s\S]*?)<\/script>/g) ?? []) {
          if (body && !/\bsrc=/.test(attributes)) hashes.add(`'sha256-${createHash('sha256').update(body).digest('base64')}'`)
        }
      })
      nitro.hooks.hook('prerender:done', () => {
        const headers = { 'Content-Security-Policy': policy([...hashes]), ...OTHER_HEADERS }
        for (const rules of [nitro.options.routeRules, nitro.options.runtimeConfig.nitro?.routeRules]) {
          if (rules) rules['/**'] = { ...rules['/**'], headers: { ...rules['/**']?.headers, ...headers } }
        }
      })
    })
  }
})
