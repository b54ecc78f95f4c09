/** Says that the server is up; the tests wait for it. */
export default defineEventHandler(() => ({ ok: true }))
