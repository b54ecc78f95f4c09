import type { CellarName } from './cellar-storage'
import { otherCellars } from './cellars'

const WHICH = 'presk.cellar'
const DEVICE = 'presk.device'

/** What is remembered of this device; nothing where the browser refuses. */
function remembered(key: string): string | undefined {
  try {
    return localStorage.getItem(key) ?? undefined
  }
  catch {
    return undefined
  }
}

function remember(key: string, value: string): boolean {
  try {
    localStorage.setItem(key, value)
    return true
  }
  catch {
    // Refused in some private windows: then it is asked again next time.
    return false
  }
}

/** The cellar that was open last. */
export const openCellar = {
  get: (): CellarName => {
    const name = remembered(WHICH)
    if (name === 'demo' || name === 'practice') return name
    return otherCellars().find((c) => c.id === name)?.id ?? 'own'
  },
  set: (name: string): void => void remember(WHICH, name)
}

/** A name for this device in the ledger, made once. */
export function thisDevice(): string {
  const known = remembered(DEVICE)
  if (known) return known
  const made = `device-${crypto.randomUUID().slice(0, 8)}`
  return remember(DEVICE, made) ? made : 'private-window'
}
