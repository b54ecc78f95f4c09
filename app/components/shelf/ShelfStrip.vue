<script setup lang="ts">
import { useSwipe, useWindowSize } from '@vueuse/core'
import { drawnHeightDm } from '~~/core/cellar'
import { type ShelfPlace, useShelf } from '~/composables/useShelf'
import { useFormat } from '~/composables/useFormat'
import { wineColour } from '~/composables/wineColour'

const route = useRoute()
const f = useFormat()
const shelf = useShelf()
const { width: windowWidth } = useWindowSize()

/** Large where the shelf is the subject; a low strip where work is done, unless it was pulled down. */
const overview = computed(() => ['/cellar', '/lots'].includes(route.path))
const pulled = ref(false)
watch(
  () => route.path,
  () => (pulled.value = false)
)
const low = computed(() => !overview.value && !pulled.value)
const handle = ref<HTMLElement>()
useSwipe(handle, { threshold: 24, onSwipeEnd: (_event, to) => (pulled.value = to === 'down' || (pulled.value && to !== 'up')) })

/** One scale for all, so that they compare: the tallest just fits. */
const pxPerDm = computed(() => {
  const tallest = Math.max(4, ...shelf.shown.value.map((p) => drawnHeightDm(p.kind, p.capacityL)))
  return Math.min(30, (low.value ? 46 : windowWidth.value < 700 ? 84 : 138) / tallest)
})
const current = computed(() => route.params.id ?? route.query.lot)
function what(p: ShelfPlace): string {
  if (!p.lot) return `${p.vessel}, empty`
  const place = p.assumed ? ', no vessel named' : ` in ${p.vessel}`
  return `${p.lot.name}, ${f.words(f.volume(p.litres))}${place}${p.number ? `: ${shelf.titleOf(p.lot.id)}` : ''}`
}
/** One stop for the Tab key, where one is or was last; the arrow keys go along. */
const focused = ref<string>()
const tabStop = computed(() => {
  const all = shelf.shown.value
  return (all.find((p) => p.key === focused.value) ?? all.find((p) => p.lot && p.lot.id === current.value) ?? all[0])?.key
})
const row = ref<HTMLElement>()
const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, Home: -Infinity, End: Infinity }
function alongShelf(event: KeyboardEvent) {
  const by = STEPS[event.key]
  if (by === undefined) return
  event.preventDefault()
  const links = [...(row.value?.querySelectorAll('a') ?? [])]
  const at = links.indexOf(document.activeElement as HTMLAnchorElement)
  links[Math.min(links.length - 1, Math.max(0, at + by))]?.focus()
}
/** A place is drawn again only when it looks different: an entry for one vessel leaves forty as they are. */
const looks = (p: ShelfPlace) => [
  what(p), p.number, p.litres, p.capacityL, p.kind, p.lot?.id, p.lot && wineColour(p.lot), p.lot?.id === current.value, pxPerDm.value,
  p.key === tabStop.value
]
</script>

<template>
  <nav v-if="shelf.all.value.length > 0" class="shelf" :class="{ low }" aria-label="Shelf of vessels">
    <LazyShelfFilter
      v-if="shelf.crowded.value && !low"
      v-model:group="shelf.group.value"
      v-model:search="shelf.search.value"
      :groups="shelf.groups.value"
    />
    <ScrollRow>
      <ul ref="row" @keydown="alongShelf">
        <li v-for="p in shelf.shown.value" :key="p.key" v-memo="looks(p)">
          <NuxtLink
            :to="p.lot ? `/lots/${p.lot.id}` : '/cellar'"
            :class="{ here: p.lot && p.lot.id === current, empty: !p.lot }"
            :aria-label="what(p)"
            :tabindex="p.key === tabStop ? 0 : -1"
            @focus="focused = p.key"
          >
            <span class="place">
              <VesselDrawing
                :kind="p.kind"
                :capacity-l="p.capacityL"
                :litres="p.litres"
                :colour="p.lot && wineColour(p.lot)"
                :px-per-dm="pxPerDm"
                :assumed="p.assumed ?? false"
              />
              <span v-if="p.number" class="mark figure" aria-hidden="true">{{ p.number }}</span>
            </span>
            <span class="tag" aria-hidden="true">
              <span class="name">{{ p.lot ? p.lot.name : p.vessel }}</span>
              <span class="litres">{{ p.lot ? f.words(f.volume(p.litres)) : 'empty' }}</span>
            </span>
          </NuxtLink>
        </li>
        <li v-if="!shelf.shown.value.length" class="none soft">Nothing on the shelf matches.</li>
      </ul>
    </ScrollRow>
    <div v-if="!overview" ref="handle" class="handle">
      <UButton
        variant="ghost"
        color="neutral"
        :icon="pulled ? 'i-lucide-chevron-up' : 'i-lucide-chevron-down'"
        :aria-expanded="pulled"
        :aria-label="pulled ? 'Push the shelf up' : 'Pull the shelf down'"
        class="size-full min-h-0 p-0"
        @click="pulled = !pulled"
      />
    </div>
  </nav>
</template>

<style scoped>
.shelf {
  position: relative;
  background: linear-gradient(var(--wall), var(--wall));
}
/* At 200 % zoom, or on a phone held sideways, the tasks matter more than the vessels. */
@media (max-height: 480px) {
  .shelf {
    display: none;
  }
}
ul {
  display: flex;
  min-width: 100vw;
  padding: 14px clamp(12px, 3vw, 40px) 0;
  background: linear-gradient(var(--beam), var(--beam)) left bottom 50px / 100% 7px no-repeat;
}
li {
  flex: none;
}
a {
  display: grid;
  grid-template-rows: 1fr auto;
  height: 100%;
  padding: 4px 12px 0;
  border-radius: 10px;
  text-align: center;
}
a:focus-visible {
  outline-offset: -3px;
}
.place {
  position: relative;
  align-self: end;
  justify-self: center;
  margin-bottom: 7px;
}
.mark {
  position: absolute;
  right: -13px;
  top: -9px;
  min-width: 26px;
  height: 26px;
  border-radius: 99px;
  display: grid;
  place-items: center;
  background: var(--skin);
  color: var(--on-skin);
  font-size: 0.98rem;
  border: 2px solid var(--wall);
  box-sizing: content-box;
}
.tag {
  display: grid;
  height: 50px;
  align-content: center;
  padding: 0 6px;
  max-width: 132px;
  min-width: 72px;
  border-bottom: 4px solid transparent;
  line-height: 1.2;
}
.name {
  font-weight: 600;
  font-size: 0.95rem;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.litres {
  font-size: 0.82rem;
  color: var(--ink-soft);
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
/* Where the shelf can be taken hold of. */
.handle {
  position: absolute;
  right: clamp(6px, 2vw, 28px);
  /* Below the strip: it covers no label. */
  top: 100%;
  z-index: 5;
  width: 52px;
  height: 24px;
  background: var(--wall);
  border: 1.5px solid var(--line);
  border-top: 0;
  border-radius: 0 0 12px 12px;
  color: var(--ink-soft);
  touch-action: none;
}
/* Fingers are broader than it looks. */
.handle :deep(button)::after {
  content: '';
  position: absolute;
  inset: -8px -4px;
}
.none {
  align-self: center;
  padding: 14px 12px 60px;
}
/* Low: name and litres in one line beside the vessel. */
.low ul {
  padding-top: 6px;
  background: none;
}
.low a {
  grid-template-rows: auto;
  grid-template-columns: auto auto;
  align-items: end;
  padding: 2px 10px 0;
  border-bottom: 4px solid transparent;
  border-radius: 8px 8px 0 0;
}
.low .place {
  margin-bottom: 5px;
}
.low .tag {
  height: 44px;
  min-width: 0;
  max-width: 150px;
  padding: 0 0 0 14px;
  text-align: left;
  border-bottom: 0;
}
.low .here {
  border-bottom-color: var(--skin);
}
.low .here .tag {
  border-bottom: 0;
}
.low .mark {
  min-width: 20px;
  height: 20px;
  font-size: 0.85rem;
  right: -10px;
  top: -7px;
}
.empty {
  opacity: 0.75;
}
.here .tag {
  border-bottom-color: var(--skin);
}
a:hover .name {
  text-decoration: underline;
  text-underline-offset: 3px;
}
@media (max-width: 700px) {
  a {
    padding: 4px 8px 0;
  }
  .tag {
    min-width: 64px;
    max-width: 104px;
  }
}
</style>
