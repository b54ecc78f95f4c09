<script setup lang="ts">
import { useWindowSize } from '@vueuse/core'
import { type VesselKind, vesselHeightDm } from '~~/core/cellar'
import type { LotState } from '~~/core/ledger'

interface Place { key: string, kind: VesselKind, capacityL: number, litres: number, vessel: string, lot?: LotState | undefined, assumed?: boolean }

const cellar = useCellarStore()
const floor = useFloor()
const route = useRoute()
const f = useFormat()
const { width: windowWidth } = useWindowSize()

const places = computed<Place[]>(() => {
  const filled: Place[] = []
  for (const { lot } of floor.items.value) {
    for (const [vesselId, litres] of lot.contents) {
      const vessel = cellar.state.vessels.get(vesselId)
      filled.push(vessel
        ? { key: vesselId, kind: vessel.kind, capacityL: vessel.capacityL, litres, vessel: vessel.name, lot }
        : { key: lot.id, kind: 'pail', capacityL: Math.max(0.1, litres * 1.25), litres, vessel: 'no vessel named', lot, assumed: true })
    }
  }
  const empty = [...cellar.state.vessels.values()].filter(v => !v.lotId)
    .map(v => ({ key: v.id, kind: v.kind, capacityL: v.capacityL, litres: 0, vessel: v.name }))
  return [...filled, ...empty]
})

/** One scale for all, so that they compare: the tallest just fits. */
const pxPerDm = computed(() => {
  const tallest = Math.max(4, ...places.value.map(p => vesselHeightDm(p.kind, p.capacityL)))
  return Math.min(30, (windowWidth.value < 700 ? 84 : 138) / tallest)
})
const current = computed(() => route.params.id ?? route.query.lot)
const what = (p: Place): string => p.lot
  ? `${p.lot.name}, ${f.words(f.volume(p.litres))}${p.assumed ? ', no vessel named' : ` in ${p.vessel}`}${floor.of(p.lot.id)?.number ? `: ${floor.of(p.lot.id)!.words.title}` : ''}`
  : `${p.vessel}, empty`
/** Only the first vessel of a lot carries its number. */
const numberOn = (p: Place): number | undefined => p.lot && places.value.find(q => q.lot === p.lot) === p ? floor.of(p.lot.id)?.number : undefined
</script>

<template>
  <nav v-if="places.length > 0" class="shelf" aria-label="Shelf of vessels">
    <ul>
      <li v-for="p in places" :key="p.key">
        <NuxtLink :to="p.lot ? `/lots/${p.lot.id}` : '/cellar'" :class="{ here: p.lot && p.lot.id === current, empty: !p.lot }" :aria-label="what(p)">
          <span class="stand">
            <VesselDrawing :kind="p.kind" :capacity-l="p.capacityL" :litres="p.litres" :colour="p.lot && wineColour(p.lot)" :px-per-dm="pxPerDm" :assumed="p.assumed ?? false" />
            <span v-if="numberOn(p)" class="mark figure" aria-hidden="true">{{ numberOn(p) }}</span>
          </span>
          <span class="tag" aria-hidden="true">
            <span class="name">{{ p.lot ? p.lot.name : p.vessel }}</span>
            <span class="litres">{{ p.lot ? f.words(f.volume(p.litres)) : 'empty' }}</span>
          </span>
        </NuxtLink>
      </li>
    </ul>
  </nav>
</template>

<style scoped>
.shelf { background: linear-gradient(var(--wall), var(--wall)); overflow-x: auto; scrollbar-width: thin; }
ul { display: flex; min-width: max-content; padding: 14px clamp(12px, 3vw, 40px) 0; background: linear-gradient(var(--beam), var(--beam)) left bottom 50px / 100% 7px no-repeat; }
li { flex: none; }
a { display: grid; grid-template-rows: 1fr auto; height: 100%; padding: 4px 12px 0; border-radius: 10px; text-align: center; }
a:focus-visible { outline-offset: -3px; }
.stand { position: relative; align-self: end; justify-self: center; margin-bottom: 7px; }
.mark { position: absolute; right: -13px; top: -9px; min-width: 26px; height: 26px; border-radius: 99px; display: grid; place-items: center; background: var(--skin); color: var(--on-skin); font-size: 0.98rem; border: 2px solid var(--wall); box-sizing: content-box; }
.tag { display: grid; height: 50px; align-content: center; padding: 0 6px; max-width: 132px; min-width: 72px; border-bottom: 4px solid transparent; line-height: 1.2; }
.name { font-weight: 600; font-size: 0.95rem; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
.litres { font-size: 0.82rem; color: var(--ink-soft); font-variant-numeric: tabular-nums; white-space: nowrap; }
.empty { opacity: 0.75; }
.here .tag { border-bottom-color: var(--skin); }
a:hover .name { text-decoration: underline; text-underline-offset: 3px; }
@media (max-width: 700px) { a { padding: 4px 8px 0; } .tag { min-width: 64px; max-width: 104px; } }
</style>
