/** What nobody answers is said as JSON, not with the application's page. */
export default defineEventHandler((event) => {
  setResponseStatus(event, 404)
  return { error: `there is nothing at ${getRequestURL(event).pathname}`, calculations: '/api/calc' }
})
