import { useKept } from '~/composables/useKept'

const KEY = 'presk.typed'
const TEXTS = 'main input:not([type=file], [type=checkbox], [type=radio]), main textarea'
/** How long the fields of a page may take to be there, ms. */
const PATIENCE = 5000

interface Typed {
  path: string
  fields: { name: string, value: string }[]
}
type TextField = HTMLInputElement | HTMLTextAreaElement
const fieldsOf = (): TextField[] => [...document.querySelectorAll<TextField>(TEXTS)]
const nameOf = (field: TextField): string => field.ariaLabel ?? field.labels?.[0]?.textContent?.trim() ?? ''

/**
 * What is half typed on a page, kept over a reload of the page that the person asked for: a bench has no drafts of its own as
 * the forms of the ledger have. Fields are known by their names and their order.
 */
export function useTypedOver() {
  const kept = useKept<Typed>(KEY)
  const keep = (): void => {
    const fields = fieldsOf().map((field) => ({ name: nameOf(field), value: field.value }))
    kept.write({ path: location.pathname + location.search, fields })
  }
  /** Puts it back, once, as if it were typed; nothing where another page was opened meanwhile. */
  async function putBack(): Promise<void> {
    const typed = kept.read()
    kept.forget()
    if (!typed || typed.path !== location.pathname + location.search) return
    for (const end = Date.now() + PATIENCE; fieldsOf().length < typed.fields.length && Date.now() < end;) {
      await new Promise((done) => setTimeout(done, 100))
    }
    const there = fieldsOf()
    typed.fields.forEach(({ name, value }, i) => {
      const field = there[i]
      if (!field || nameOf(field) !== name || field.value === value) return
      field.value = value
      field.dispatchEvent(new Event('input', { bubbles: true }))
    })
  }
  return { keep, putBack }
}
