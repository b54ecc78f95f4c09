/** A name or address with a port, as RFC 9110 has it: anything else is no host. */
const HOST = /^(\[[\da-f:.]+\]|[\w.-]+)(:\d{1,5})?$/i
const READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/** What is turned away at the door: a host that is none, and a page that is asked for with anything but a look. */
function turnedAway(method: string, path: string, host: string | undefined): { status: number, allow?: string, error: string } | undefined {
  if (host === undefined || !HOST.test(host)) return { status: 400, error: 'the host header is no host' }
  if (!READS.has(method) && !path.startsWith('/api/')) return { status: 405, allow: 'GET, HEAD', error: `${method} is not for a page` }
  return undefined
}

/** Before anything else: what cannot be meant is answered in a line; and each request leaves a line in the log. */
export default defineNitroPlugin((nitro) => {
  if (import.meta.prerender) return
  const handle = nitro.h3App.handler
  nitro.h3App.handler = Object.assign(async (event: Parameters<typeof handle>[0]) => {
    const { req, res } = event.node
    const started = performance.now()
    res.once('finish', () => {
      console.log(`${req.method} ${req.url?.slice(0, 200)} ${res.statusCode} ${(performance.now() - started).toFixed(0)} ms`)
    })
    const away = turnedAway(req.method ?? 'GET', req.url ?? '/', req.headers.host)
    if (!away) return handle(event)
    res.statusCode = away.status
    if (away.allow) res.setHeader('allow', away.allow)
    res.setHeader('content-type', 'application/json')
    res.end(JSON.stringify({ error: away.error }))
  }, { __is_handler__: true as const }) as typeof handle
  nitro.hooks.hook('beforeResponse', (event) => event.node.res.removeHeader('x-powered-by'))
})
