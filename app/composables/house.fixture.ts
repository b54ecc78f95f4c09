import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { IDBFactory } from 'fake-indexeddb'
import { createPinia, defineStore, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import {
  type EffectScope,
  computed,
  effectScope,
  nextTick,
  onScopeDispose,
  reactive,
  ref,
  shallowReactive,
  shallowRef,
  toRaw,
  watch,
  watchEffect
} from 'vue'
import type { Draft, Fact } from '~~/core/ledger'

/** The instant at which all of it takes place. */
export const NOW = '2026-11-25T12:00:00.000Z'
export const daysAgo = (days: number): string => new Date(Date.parse(NOW) - days * 86_400_000).toISOString()

const route = reactive<{ query: Record<string, string | undefined> }>({ query: {} })
/** What was said to be logged, oldest first. */
export const said: string[] = []
/** Where somebody was led to. */
export const went: string[] = []
/** Pages that are open. */
const pages: EffectScope[] = []
type Target = string | { query: Record<string, string | undefined> }

// What Nuxt imports by itself stands here by hand: composables are tested as plain functions, over the real store and ledger.
const ofVue = { computed, nextTick, onScopeDispose, reactive, ref, shallowReactive, shallowRef, toRaw, watch, watchEffect }
const ofNuxt = {
  defineStore,
  useRoute: () => route,
  useNow: () => ref(NOW),
  focusWrong: () => Promise.resolve(),
  useLogged: () => (title: string) => void said.push(title),
  navigateTo: (to: Target) => {
    if (typeof to === 'string') went.push(to)
    else route.query = to.query
    return Promise.resolve()
  }
}
for (const [name, value] of Object.entries({ ...ofVue, ...ofNuxt })) vi.stubGlobal(name, value)
/** In the order in which they lean on one another. */
const OURS = [
  () => import('./withinLimits'),
  () => import('~/stores/settings'),
  () => import('~/stores/cellar'),
  () => import('./useFormat'),
  () => import('./useQuantityField'),
  () => import('./usualFields'),
  () => import('./useMaterials'),
  () => import('./useWeighing'),
  () => import('./useMovePreview')
]
for (const load of OURS) for (const [name, value] of Object.entries(await load())) vi.stubGlobal(name, value)
const { useCellarStore } = await import('~/stores/cellar')

/** A house with a cellar of its own, at `NOW`, where so much has been logged; the page stands at an address. */
export async function house(drafts: readonly Draft<Fact>[], query: Record<string, string> = {}) {
  for (const page of pages.splice(0)) page.stop()
  vi.useFakeTimers({ toFake: ['Date'], now: new Date(NOW) })
  setActivePinia(createPinia())
  Dexie.dependencies.indexedDB = new IDBFactory()
  route.query = query
  said.length = went.length = 0
  const cellar = useCellarStore()
  await cellar.open('own')
  if (drafts.length > 0 && !(await cellar.log([...drafts])))
    throw new Error(`not a cellar: ${JSON.stringify([cellar.refused, cellar.issues])}`)
  return cellar
}
export type House = Awaited<ReturnType<typeof house>>

/** A composable as a page would have it: its watchers and timers live until the next house. */
export function onPage<T>(use: () => T): T {
  const page = effectScope(true)
  pages.push(page)
  return page.run(use)!
}

/** A vessel that stands clean. */
export const vessel = (
  vesselId: string,
  capacityL: number,
  kind: 'demijohn' | 'bin' | 'barrel' | 'tank' | 'keg' = 'demijohn'
): Draft<Fact>[] => [
  { type: 'vessel-added', at: daysAgo(300), vesselId, name: vesselId, kind, capacityL },
  { type: 'vessel-cared', at: daysAgo(0.1), vesselId, what: 'cleaned' },
  { type: 'vessel-cared', at: daysAgo(0.1), vesselId, what: 'sanitised' }
]

/** A dry wine in its vessel, with what was read of it yesterday. */
export const dryWine = (
  lotId: string,
  volumeL: number,
  vesselId: string,
  { style = 'red', ph = 3.5, ta = 6, freeSo2 = 8 }: { style?: 'red' | 'white', ph?: number, ta?: number, freeSo2?: number } = {}
): Draft<Fact>[] => {
  const read = (days: number, quantity: 'sg' | 'ph' | 'ta' | 'freeSo2', value: number): Draft<Fact> => ({
    type: 'reading',
    at: daysAgo(days),
    lotId,
    quantity,
    typed: String(value),
    value
  })
  const begun: Draft<Fact> = {
    type: 'lot-started',
    at: daysAgo(60),
    lotId,
    name: lotId,
    stream: 'juice',
    style,
    varieties: [{ name: 'Grenache', share: 1 }],
    vintage: 2026,
    volumeL,
    volumeIs: 'measured',
    vesselId
  }
  const yeast: Draft<Fact> = { type: 'inoculation', at: daysAgo(59), lotId, organism: 'yeast', culture: 'Y' }
  const plan: Draft<Fact> = { type: 'lot-planned', at: daysAgo(59), lotId, malolactic: 'none' }
  const sugar = [read(60, 'sg', 1.09), read(40, 'sg', 0.993), read(30, 'sg', 0.993)]
  return [begun, yeast, plan, ...sugar, read(1, 'ph', ph), read(1, 'ta', ta), read(1, 'freeSo2', freeSo2)]
}
