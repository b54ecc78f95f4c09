import { createPinia, defineStore, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, ref } from 'vue'

for (const [name, value] of Object.entries({ ref, computed, defineStore })) vi.stubGlobal(name, value)
const { useSettingsStore } = await import('./settings')

describe('how this device shows things', () => {
  let stored: Record<string, string>
  beforeEach(() => {
    stored = {}
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => stored[key] ?? null,
      setItem: (key: string, value: string) => void (stored[key] = value)
    })
    setActivePinia(createPinia())
  })
  const withStored = (value: unknown) => {
    stored['presk.settings'] = typeof value === 'string' ? value : JSON.stringify(value)
    return useSettingsStore().values
  }
  it('is kept from one visit to the next', () => {
    useSettingsStore().change({ system: 'imperial', scaleStepG: 0.01 })
    setActivePinia(createPinia())
    expect(useSettingsStore().values).toMatchObject({ system: 'imperial', scaleStepG: 0.01, sugar: '°Brix' })
    expect(useSettingsStore().gallon).toBe('imperial')
  })
  it.each([
    ['cut short', '{"system":"US"'],
    ['of another kind', '[]'],
    ['with a scale of nothing', { scaleStepG: 0 }],
    ['with units nobody has', { system: 'cubits' }]
  ])('what is stored and %s is not taken, and nothing breaks', (_name, value) => {
    expect(withStored(value)).toMatchObject({ system: 'metric', scaleStepG: 0.1, spoons: {} })
  })
  it('the one spoon of earlier days becomes a spoon of either sulphite', () => {
    expect(withStored({ teaspoonG: 5.1 }).spoons).toEqual({ 'potassium-metabisulphite': 5.1, 'sodium-metabisulphite': 5.1 })
  })
  it('a private window that refuses to store still changes for as long as it is open', () => {
    vi.stubGlobal('localStorage', {
      getItem: () => null,
      setItem: () => {
        throw new DOMException('no', 'SecurityError')
      }
    })
    const settings = useSettingsStore()
    settings.change({ temperature: '°F' })
    expect(settings.values.temperature).toBe('°F')
  })
})
