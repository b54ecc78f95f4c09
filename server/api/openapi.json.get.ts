import { openApi } from '../openapi/document'

/** All that the server offers, as OpenAPI 3.1. */
export default defineEventHandler(() => openApi())
