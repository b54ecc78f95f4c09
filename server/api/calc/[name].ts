/** Calculations are asked for with POST alone; their list stands at /api/calc. */
export default defineEventHandler((event) => {
  setResponseStatus(event, 405)
  setResponseHeader(event, 'allow', 'POST')
  return { error: `${event.method} is not for a calculation`, allowed: ['POST'], list: '/api/calc' }
})
