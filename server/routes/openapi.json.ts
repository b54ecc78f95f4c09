/** Where many look for it first: it is said where it is. */
export default defineEventHandler((event) => {
  setResponseStatus(event, 404)
  return { error: 'there is nothing at /openapi.json', openapi: '/api/openapi.json' }
})
