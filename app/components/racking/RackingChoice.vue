<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import { NET_SPREAD } from '~~/core/stages'
import type { useRackingDay } from '~/composables/useRackingDay'
import { useFormat } from '~/composables/useFormat'
import { wineColour } from '~/composables/wineColour'

/** What is to be racked, what is expected to stay behind, and what it may go into. */
const props = defineProps<{ day: ReturnType<typeof useRackingDay> }>()
const { wines, chosen, choose, vessels, mayUse, toggle, leesOf, setLees, pairs, mixed, setMixed } = props.day
const f = useFormat()
const picked = computed({ get: () => chosen.value.map((l) => l.id), set: (ids) => void choose(ids) })
const items = computed(() => wines.value.map((l) => ({ value: l.id, label: l.name })))
const mixing = computed({ get: () => mixed.value.map((p) => p.key), set: (keys) => void setMixed(keys) })
const pairItems = computed(() => pairs.value.map((p) => ({ value: p.key, label: `${p.a.name} with ${p.b.name}` })))
const SHARES = [0.01, 0.02, 0.03, 0.04, 0.06, 0.1, 0.15].map((value) => ({ value, label: `${Math.round(value * 100)} %` }))
const net = (lot: LotView) => {
  const litres = lot.volume.value * (1 - leesOf(lot))
  return f.volumeWithin(litres, litres * NET_SPREAD)
}
const state = (v: (typeof vessels.value)[number]) =>
  v.litres > 0.05 ? '' : v.sanitisedAt ? 'clean' : v.used ? 'wash it first' : 'not used yet'
</script>

<template>
  <div class="grid gap-6">
    <TapMany v-model="picked" legend="Wines to rack" :items="items" />
    <section v-if="chosen.length" class="grid gap-2">
      <h2>Volume expected, net of lees</h2>
      <ul>
        <li v-for="l in chosen" :key="l.id" class="wine">
          <span class="swatch" :style="{ background: wineColour(l) }" aria-hidden="true" />
          <b>{{ l.name }}</b>
          <SelectField
            :model-value="leesOf(l)"
            :label="`Left behind from ${l.name}`"
            quiet
            :items="SHARES"
            @update:model-value="setLees(l.id, $event)"
          />
          <span class="whitespace-nowrap">
            <span class="figure">{{ f.words(net(l)) }}</span> <span class="soft small">± {{ net(l).spread }}</span>
          </span>
        </li>
      </ul>
      <p class="soft small">Lees take 2 to 5 %, more the first time (common practice). You enter the real volume with each move.</p>
    </section>
    <div v-if="pairs.length" class="grid gap-2">
      <TapMany v-model="mixing" legend="May be blended if that saves air" :items="pairItems" />
      <p class="soft small">Wine that goes into a vessel with another lot becomes part of that lot.</p>
    </div>
    <section v-if="chosen.length" class="grid gap-2">
      <h2>Vessels to use</h2>
      <ul class="vessels">
        <li v-for="v in vessels" :key="v.id">
          <UCheckbox
            :model-value="mayUse(v.id)"
            :label="`${v.name}, ${f.words(f.volume(v.capacityL))}`"
            :description="state(v) || undefined"
            @update:model-value="toggle(v.id)"
          />
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.wine {
  display: grid;
  grid-template-columns: 10px minmax(0, 1fr) 6rem minmax(7rem, auto);
  gap: 12px;
  align-items: center;
  padding: 8px 0;
  border-top: 1.5px solid var(--line);
}
.wine > :last-child {
  text-align: right;
}
@media (max-width: 480px) {
  .wine {
    grid-template-columns: 10px minmax(0, 1fr) 6rem;
  }
  .wine > :first-child {
    grid-row: 1 / 3;
  }
  .wine > :last-child {
    grid-column: 2 / -1;
    text-align: left;
  }
}
.vessels {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
  gap: 10px 20px;
}
</style>
