import { z } from 'zod'
import type { Gallon } from '~~/core/units'

const settingsSchema = z.object({
  asked: z.boolean(),
  system: z.enum(['metric', 'US', 'imperial']),
  temperature: z.enum(['°C', '°F']),
  sugar: z.enum(['SG', '°Brix']),
  scaleStepG: z.number().positive().max(50),
  /** What a level teaspoon of a powder weighs here, once weighed. */
  spoons: z.record(z.string(), z.number().min(1).max(12)),
  salt: z.enum(['potassium-metabisulphite', 'sodium-metabisulphite']),
  cellarName: z.string().max(80)
})
export type Settings = z.infer<typeof settingsSchema>

const DEFAULTS: Settings = { asked: false, system: 'metric', temperature: '°C', sugar: '°Brix', scaleStepG: 0.1, salt: 'potassium-metabisulphite', cellarName: '', spoons: {} }
const KEY = 'presk.settings'

/** How this device shows things. Kept apart from the cellar, so that a shared file does not carry one person's units to another. */
export const useSettingsStore = defineStore('settings', () => {
  const values = ref<Settings>(read())

  function change(part: Partial<Settings>): void {
    values.value = { ...values.value, ...part }
    try {
      localStorage.setItem(KEY, JSON.stringify(values.value))
    }
    catch {
      // Private windows may refuse; the settings then last as long as the tab.
    }
  }

  const gallon = computed<Gallon | undefined>(() => values.value.system === 'US' ? 'US' : values.value.system === 'imperial' ? 'imperial' : undefined)
  return { values, gallon, change }
})

function read(): Settings {
  try {
    const stored = JSON.parse(localStorage.getItem(KEY) ?? '{}')
    // Before spoons were kept by powder there was one, of sulphite.
    if (typeof stored.teaspoonG === 'number' && !stored.spoons) stored.spoons = { 'potassium-metabisulphite': stored.teaspoonG, 'sodium-metabisulphite': stored.teaspoonG }
    const parsed = settingsSchema.partial().safeParse(stored)
    return { ...DEFAULTS, ...(parsed.success ? parsed.data : {}) }
  }
  catch {
    return DEFAULTS
  }
}
