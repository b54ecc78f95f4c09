import type { Gallon } from '~~/core/units'

export interface Settings {
  /** The first question, in which measures to speak, was answered. */
  asked: boolean
  system: 'metric' | 'US' | 'imperial'
  temperature: '°C' | '°F'
  sugar: 'SG' | '°Brix'
  scaleStepG: number
  /** What a level teaspoon of a powder weighs here, once weighed. */
  spoons: Record<string, number>
  /** How the last titration was set up: the next one begins with it. */
  titration: { sampleMl: number, normality: number, stepMl: number }
  salt: 'potassium-metabisulphite' | 'sodium-metabisulphite'
  cellarName: string
  /** Days that stay free of work in the cellar, YYYY-MM-DD, and what for. */
  freeDays: { day: string, name: string }[]
  /** What this cellar's lots taught, forgotten up to an instant: see core/way/habits. */
  forgotten: Record<string, string>
  /** Words of the trade say what they mean when they are tapped. */
  terms: boolean
}

const number = (v: unknown, most: number): boolean => typeof v === 'number' && v > 0 && v <= most
const object = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null
/**
 * What each setting takes; anything else on the device is as if it were not there. By hand, because these few are read before
 * the first picture, and Zod would weigh a tenth of it.
 */
const TAKES: { [K in keyof Settings]: (v: unknown) => boolean } = {
  asked: (v) => typeof v === 'boolean',
  system: (v) => v === 'metric' || v === 'US' || v === 'imperial',
  temperature: (v) => v === '°C' || v === '°F',
  sugar: (v) => v === 'SG' || v === '°Brix',
  scaleStepG: (v) => number(v, 50),
  spoons: (v) => object(v) && Object.values(v).every((g) => number(g, 12) && (g as number) >= 1),
  titration: (v) => object(v) && number(v.sampleMl, 250) && number(v.normality, 2) && number(v.stepMl, 5),
  salt: (v) => v === 'potassium-metabisulphite' || v === 'sodium-metabisulphite',
  cellarName: (v) => typeof v === 'string' && v.length <= 80,
  freeDays: (v) => Array.isArray(v) && v.length <= 50 && v.every((d) => object(d) && typeof d.name === 'string' && d.name.length <= 60
    && typeof d.day === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(d.day)),
  forgotten: (v) => object(v) && Object.keys(v).length <= 50 && Object.values(v).every((at) => typeof at === 'string'),
  terms: (v) => typeof v === 'boolean'
}

const DEFAULTS: Settings = {
  asked: false,
  system: 'metric',
  temperature: '°C',
  sugar: '°Brix',
  scaleStepG: 0.1,
  salt: 'potassium-metabisulphite',
  cellarName: '',
  freeDays: [],
  forgotten: {},
  terms: true,
  spoons: {},
  titration: { sampleMl: 10, normality: 0.1, stepMl: 0.1 }
}
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

  const gallon = computed<Gallon | undefined>(() =>
    values.value.system === 'US' ? 'US' : values.value.system === 'imperial' ? 'imperial' : undefined
  )
  return { values, gallon, change }
})

function read(): Settings {
  try {
    const stored = JSON.parse(localStorage.getItem(KEY) ?? '{}')
    // Before spoons were kept by powder there was one, of sulphite.
    if (typeof stored.teaspoonG === 'number' && !stored.spoons)
      stored.spoons = { 'potassium-metabisulphite': stored.teaspoonG, 'sodium-metabisulphite': stored.teaspoonG }
    const taken = (Object.keys(TAKES) as (keyof Settings)[]).filter((key) => TAKES[key](stored[key]))
    return { ...DEFAULTS, ...Object.fromEntries(taken.map((key) => [key, stored[key]])) }
  }
  catch {
    return DEFAULTS
  }
}
