<script setup lang="ts">
import { type LotView, isHeld, isMust } from '~~/core/ledger'
import { bottlesLeft } from '~~/core/stages'
import { folded } from '~/find/finder'
import { sayDayAndYear } from '~/wording/days'
import { STANDING, STYLE } from '~/wording/terms'
import { useFloor } from '~/composables/useFloor'
import { useFormat } from '~/composables/useFormat'
import { wineColour } from '~/composables/wineColour'
import { useCellarStore } from '~/stores/cellar'

const cellar = useCellarStore()
const floor = useFloor()
const f = useFormat()
const route = useRoute()
const router = useRouter()
const wanted = ref('')

const vesselsOf = (lot: LotView) => [...lot.contents.keys()].flatMap((id) => cellar.state.vessels.get(id)?.name ?? []).join(', ')
/** Wine, or the bottles that it went into. */
const sayHeld = (lot: LotView) =>
  isHeld(lot) || bottlesLeft(lot) === 0 ? f.words(f.volume(lot.volume.value)) : `${bottlesLeft(lot)} bottles`
/** What the table is sorted by; without it the order of the cellar, the most pressing first. */
const COLUMNS = {
  lot: { label: 'Lot', of: (l: LotView) => folded(l.name) },
  vessel: { label: 'Vessel', of: (l: LotView) => folded(vesselsOf(l)) || undefined },
  started: { label: 'Started', of: (l: LotView) => l.startedAt },
  volume: { label: 'Volume', of: (l: LotView) => l.volume.value, number: true },
  gravity: { label: 'Gravity', of: (l: LotView) => l.sg?.value, number: true },
  free: { label: 'Free SO₂', of: (l: LotView) => l.freeSo2?.value, number: true }
} satisfies Record<string, { label: string, of: (lot: LotView) => string | number | undefined, number?: boolean }>
type Column = keyof typeof COLUMNS
const columns = Object.entries(COLUMNS) as [Column, { label: string, number?: boolean }][]
const by = computed(() => {
  const [, down, column] = /^(-?)(\w+)$/.exec(String(route.query.by ?? '')) ?? []
  return column && column in COLUMNS ? { column: column as Column, down: down === '-' } : undefined
})
/** Once up, once down, then as it was. */
function sortBy(column: Column) {
  const now = by.value?.column === column ? by.value : undefined
  void router.replace({ query: { ...route.query, by: now ? (now.down ? undefined : `-${column}`) : column } })
}
const sortOf = (column: Column) => (by.value?.column !== column ? 'none' : by.value.down ? 'descending' : 'ascending')

/** Many lots are found by a word of their name, their style or their stage. */
const shown = computed(() => {
  const words = folded(wanted.value.trim())
  const found = floor.items.value.filter(
    ({ lot }) => !words || folded(`${lot.name} ${STYLE[lot.style]} ${STANDING[lot.standing]} ${lot.vintage ?? ''}`).includes(words)
  )
  if (!by.value) return found
  const { column, down } = by.value
  const { of } = COLUMNS[column]
  // What has no such figure comes last either way.
  return found.toSorted(({ lot: a }, { lot: b }) => {
    const [x, y] = [of(a), of(b)]
    if (x === undefined || y === undefined) return x === y ? 0 : x === undefined ? 1 : -1
    return (x < y ? -1 : x > y ? 1 : 0) * (down ? -1 : 1)
  })
})
useHead({ title: 'Lots · Presk' })
</script>

<template>
  <div>
    <PageHead title="Lots">
      <NuxtLink v-if="floor.items.value.length > 1" to="/lots/compare" class="textlink">Compare</NuxtLink>
      <NuxtLink v-if="floor.items.value.length" to="/lots/book" class="textlink">Season book</NuxtLink>
      <UButton to="/lots/new" size="lg" icon="i-lucide-plus">Start a lot</UButton>
    </PageHead>
    <TextField
      v-if="floor.items.value.length > 8"
      v-model="wanted"
      label="Find a lot"
      hint="by name, style, vintage or stage"
      class="max-w-md mb-4"
    />
    <p v-if="floor.items.value.length === 0" class="soft">No lots yet. Start one when fruit, must or a kit arrives.</p>
    <table v-else class="lots">
      <thead>
        <tr>
          <th v-for="[key, c] in columns" :key="key" scope="col" :class="{ number: c.number }" :aria-sort="sortOf(key)">
            <button type="button" @click="sortBy(key)">
              {{ c.label }}<span aria-hidden="true">{{ { none: '', ascending: ' ↑', descending: ' ↓' }[sortOf(key)] }}</span>
            </button>
          </th>
          <th scope="col">Next</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ lot, next } in shown" :key="lot.id" @click="navigateTo(`/lots/${lot.id}`)">
          <th scope="row">
            <span class="swatch" :style="{ background: wineColour(lot) }" aria-hidden="true" />
            <span class="name">
              <NuxtLink :to="`/lots/${lot.id}`" class="display" @click.stop>{{ lot.name }}</NuxtLink>
              <span class="soft small"
              >{{ STYLE[lot.style] }}, {{ STANDING[lot.standing].toLowerCase()
              }}<template v-if="lot.vintage">, {{ lot.vintage }}</template></span
              >
            </span>
          </th>
          <td class="vessel">{{ vesselsOf(lot) }}</td>
          <td class="started">{{ sayDayAndYear(lot.startedAt) }}</td>
          <td class="number figure">{{ sayHeld(lot) }}</td>
          <td class="number figure">{{ lot.sg ? f.words(isMust(lot) ? f.sugar(lot.sg.value) : f.gravity(lot.sg.value)) : '' }}</td>
          <td class="number figure">{{ lot.freeSo2 ? `${Math.round(lot.freeSo2.value)} mg/L` : '' }}</td>
          <td class="next">{{ next.words.title }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.lots {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 9px 16px 9px 0;
  text-align: left;
  font-weight: 400;
  border-bottom: 1.5px solid var(--line);
}
thead th {
  color: var(--ink-soft);
}
thead button {
  min-height: 28px;
  white-space: nowrap;
}
thead button:hover,
[aria-sort='ascending'] button,
[aria-sort='descending'] button {
  color: var(--ink);
  text-decoration: underline;
}
.number {
  text-align: right;
  white-space: nowrap;
}
tbody tr {
  cursor: pointer;
}
tbody tr:hover {
  background: var(--sheet);
}
tbody th {
  position: relative;
  padding-left: 22px;
}
.swatch {
  position: absolute;
  left: 0;
  top: 9px;
  bottom: 9px;
}
.name {
  display: grid;
}
.name a {
  font-size: 1.2rem;
  font-weight: 600;
  overflow-wrap: anywhere;
}
.started {
  white-space: nowrap;
}
@media (max-width: 900px) {
  .vessel,
  .started,
  thead th:nth-child(2),
  thead th:nth-child(3) {
    display: none;
  }
}
@media (max-width: 700px) {
  thead {
    display: block;
    position: absolute;
    clip-path: inset(50%);
    width: 1px;
    height: 1px;
    overflow: hidden;
  }
  tbody tr {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 18px;
    padding: 12px 0;
    border-bottom: 1.5px solid var(--line);
  }
  tbody th,
  tbody td {
    padding: 0;
    border: 0;
  }
  tbody th {
    padding-left: 22px;
  }
  .swatch {
    top: 2px;
    bottom: -48px;
  }
  tbody th {
    flex: 0 0 100%;
  }
  .next {
    flex: 0 0 calc(100% - 22px);
  }
  tbody td:empty {
    display: none;
  }
  tbody td {
    margin-left: 22px;
    text-align: left;
  }
  tbody td + td.number {
    margin-left: 0;
  }
  tbody td:nth-child(4) {
    margin-left: 22px !important;
  }
}
</style>
