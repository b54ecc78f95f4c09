import { HOUR_MS } from '~~/core/units'
import type { QuantityField } from './useQuantityField'
import { useKept } from './useKept'

/** What was typed and not logged is kept for so long, ms: by the next day the wine has moved on. */
export const KEPT_MS = 12 * HOUR_MS

/** A number as it was typed, to be kept. */
export interface KeptNumber { text: string, unit: string }
export const keptNumber = ({ text, unit }: Pick<QuantityField, 'text' | 'unit'>): KeptNumber => ({ text, unit })
/** Typed there again, in the unit that it was typed in. */
export function putBack(field: QuantityField, was: KeptNumber | undefined): void {
  if (!was || typeof was.text !== 'string') return
  const unit = field.units.find((u) => u === was.unit)
  Object.assign(field, { text: was.text.slice(0, 40), ...(unit && { unit }) })
}

/**
 * A form that is half filled in, over a reload and the way back.
 * @param typed what is to be kept; undefined while nobody typed anything
 * @param restore puts back what was kept, at once
 * @returns says that the form is done with
 */
export function useKeptForm<T extends object>(key: string, typed: () => T | undefined, restore: (was: T) => void): () => void {
  const kept = useKept<{ at: number, typed: T }>(key)
  const was = kept.read()
  if (was && Date.now() - was.at < KEPT_MS) {
    try {
      restore(was.typed)
    }
    catch {
      // Kept by another version of this form: it begins empty.
      kept.forget()
    }
  }
  // Written out to the last word, so that a change deep inside is one.
  const asText = () => {
    const is = typed()
    return is && JSON.stringify(is)
  }
  const stop = watch(asText, (is) => (is ? kept.write({ at: Date.now(), typed: JSON.parse(is) as T }) : kept.forget()))
  return () => {
    stop()
    kept.forget()
  }
}
