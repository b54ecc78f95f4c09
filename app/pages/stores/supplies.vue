<script setup lang="ts">
import { counted } from '~/wording/count'
import { isHeld } from '~~/core/ledger'
import { RESERVE, type SupplyFinding, type SupplyRow } from '~~/core/supplies'
import { downloadText } from '~/data/download'
import { NEED, saySupplyFinding } from '~/wording/supplies'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useSupplies } from '~/composables/useSupplies'
import { useCellarStore } from '~/stores/cellar'

/** What all open lots will still need this season, against what is in store; the shopping list; what to share. */
const cellar = useCellarStore()
const f = useFormat()
const supplies = useSupplies()
const toBuy = computed(() => supplies.rows.value.filter((r) => r.toBuy > 0.05))
const short = computed(() => supplies.rows.value.filter((r) => r.short > 0))
const COUNT = ['', 'One thing runs', 'Two things run', 'Three things run', 'Four things run', 'Five things run', 'Six things run']
const open = ref<string>()
const sources = (row: SupplyRow) => new Set(row.needs.map((n) => n.of)).size
/** Rounded up to what one can weigh and buy. */
const buyable = (row: SupplyRow) =>
  supplies.amount(
    row,
    Math.ceil(row.toBuy / (row.toBuy > 100 ? 10 : row.toBuy > 10 ? 1 : 0.1)) * (row.toBuy > 100 ? 10 : row.toBuy > 10 ? 1 : 0.1)
  )
const stop = (x: SupplyFinding) => x.code === 'expired' || x.code === 'weak-sulphite'
const listText = computed(() => toBuy.value.map((r) => `${materials.name(r.material)}\t${buyable(r)}`).join('\n'))
const download = () => downloadText(`${listText.value}\n`, 'presk-shopping-list.txt', 'text/plain')
const materials = useMaterials()
useHead({ title: 'Supplies · Presk' })
</script>

<template>
  <div>
    <StoresTabs />
    <div class="beside">
      <section>
        <h1>
          {{
            !supplies.kept.value
              ? 'What your lots will need'
              : short.length
                ? `${COUNT[short.length] ?? `${short.length} things run`} short`
                : toBuy.length
                  ? 'Enough, but no reserve'
                  : 'Enough for all lots'
          }}
        </h1>
        <p class="soft">
          {{ cellar.lots.filter((l) => isHeld(l)).length }} open lots and {{ cellar.state.arrivals.size }} still to come. Amounts follow
          from their readings and plans, or from usual values where nothing was measured, with a reserve of {{ Math.round(RESERVE * 100) }}
          %.
        </p>
        <p v-if="supplies.rows.value.length === 0" class="soft mt-4">No open lots and nothing expected, so nothing is needed.</p>
        <ul class="rows">
          <li v-for="r in supplies.rows.value" :key="r.material" :class="{ short: r.short > 0 && supplies.kept.value }">
            <UButton
              variant="ghost"
              color="neutral"
              class="head"
              :aria-expanded="open === r.material"
              @click="open = open === r.material ? undefined : r.material"
            >
              <span class="name"
              ><b class="display">{{ materials.title(r.material) }}</b
              ><span class="soft small">{{
                r.needs.length ? `for ${counted(sources(r), 'lot')}` : 'not needed this season'
              }}</span></span
              >
              <span class="bar" aria-hidden="true"
              ><span
                class="have"
                :style="{ width: `${Math.min(100, r.needed > 0 ? (r.usable / (r.needed * (1 + RESERVE))) * 100 : 100)}%` }" /><span
                  v-if="r.needed > 0"
                  class="mark"
                  :style="{ left: `${100 / (1 + RESERVE)}%` }"
                /></span>
              <span class="nums"
              ><span
              ><span class="figure">{{ supplies.amount(r, r.needed) }}</span> <span class="soft small">needed</span></span
              ><span
              ><span class="figure">{{ supplies.amount(r, r.usable) }}</span> <span class="soft small">in store</span></span
              ></span
              >
              <span class="verdict">{{
                r.short > 0 ? `${supplies.amount(r, r.short)} short` : r.toBuy > 0.05 ? 'no reserve' : 'enough'
              }}</span>
            </UButton>
            <div v-if="open === r.material" class="detail">
              <FigureTable
                v-if="r.needs.length"
                caption="Who needs it"
                :columns="[
                  { key: 'name', label: 'Lot', sortable: true },
                  { key: 'reason', label: 'For' },
                  { key: 'amount', label: 'How much', right: true, strong: true },
                ]"
                :rows="[
                  ...r.needs.map((n) => ({
                    name: n.name,
                    reason: `${NEED[n.reason]}${n.basis === 'assumed' ? ', assumed' : ''}`,
                    amount: supplies.amount(r, n.amount),
                  })),
                  { name: 'Reserve', reason: `${Math.round(RESERVE * 100)} % of the sum`, amount: supplies.amount(r, r.reserve) },
                ]"
              />
              <FindingNote v-for="x in r.findings" :key="x.code + ('packageId' in x ? x.packageId : '')" :tone="stop(x) ? 'stop' : 'ask'">{{
                saySupplyFinding(x, (v) => supplies.amount(r, v))
              }}</FindingNote>
              <template v-if="r.shares">
                <h3>If you cannot get more</h3>
                <ul class="shares">
                  <li v-for="(s, i) in r.shares" :key="i">
                    <span
                    >{{ s.need.name }}<span class="soft small">, {{ NEED[s.need.reason] }}</span></span
                    ><b class="figure">{{ supplies.amount(r, s.amount) }}</b>
                  </li>
                </ul>
                <p v-if="r.needs.some((n) => n.reason === 'acid')" class="soft small">
                  Highest pH first, because those wines spoil first.
                </p>
              </template>
              <p v-if="r.starter">
                Or make a starter: {{ supplies.amount(r, r.usable) }} in boiled and cooled juice, fed every 12 hours, are enough for all of
                them in <b>{{ r.starter.totalHours }} hours</b>:
                {{ r.starter.steps.map((s) => f.words(f.volume(s.volumeL))).join(', then ') }}. Start that long before crush day.
              </p>
              <PackageList :material="r.material" />
            </div>
          </li>
        </ul>
      </section>
      <aside class="sheet list">
        <h2>Shopping list</h2>
        <ul v-if="toBuy.length">
          <li v-for="r in toBuy" :key="r.material">
            <span>{{ materials.title(r.material) }}</span
            ><b class="figure">{{ buyable(r) }}</b>
          </li>
        </ul>
        <p v-else class="soft">Nothing to buy.</p>
        <p v-if="toBuy.length"><UButton variant="link" @click="download">Download the list</UButton></p>
        <StockForm />
      </aside>
    </div>
  </div>
</template>

<style scoped>
.rows {
  margin-top: 18px;
}
.rows > li {
  border-top: 1.5px solid var(--line);
}
.head {
  width: 100%;
  display: grid;
  grid-template-columns: minmax(9rem, 1.1fr) minmax(80px, 1fr) minmax(0, 1.3fr) 6.5rem;
  gap: 6px 20px;
  align-items: center;
  padding: 12px 4px;
  text-align: left;
  cursor: pointer;
  border-radius: 8px;
}
.head:hover {
  background: var(--sheet);
}
.name {
  display: grid;
}
.name b {
  font-size: 1.12rem;
  overflow-wrap: anywhere;
}
.bar {
  position: relative;
  height: 14px;
  border-radius: 4px;
  background: var(--line);
}
.have {
  position: absolute;
  inset: 0 auto 0 0;
  border-radius: 4px;
  background: var(--good);
}
.short .have {
  background: var(--stop);
}
.mark {
  position: absolute;
  top: -4px;
  bottom: -4px;
  width: 2px;
  background: var(--ink);
}
.nums {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
.verdict {
  text-align: right;
  font-weight: 600;
}
.short .verdict {
  color: var(--stop);
}
.detail {
  display: grid;
  gap: 12px;
  padding: 4px 4px 20px;
  max-width: 620px;
}
.shares li,
.list li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  align-items: baseline;
  border-top: 1.5px solid var(--line);
  padding: 7px 0;
}
.list {
  padding: 20px;
  display: grid;
  gap: 12px;
}
.list .figure {
  font-size: 1.25rem;
  white-space: nowrap;
}
@media (max-width: 620px) {
  .head {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .bar {
    grid-column: 1 / -1;
    grid-row: 2;
  }
  .nums {
    grid-column: 1 / -1;
  }
  .verdict {
    grid-column: 2;
    grid-row: 1;
  }
}
</style>
