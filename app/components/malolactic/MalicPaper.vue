<script setup lang="ts">
import { SPOTS, type Spot } from '~~/core/malolactic'
import { SPOT } from '~/wording/looks'

/** A paper chromatogram to compare with: the standards of three acids, and the wine's own lane, drawn as it is tapped. */
const malic = defineModel<Spot | undefined>('malic')
const lactic = defineModel<Spot | undefined>('lactic')
const items = SPOTS.map((value) => ({ value, label: SPOT[value] }))
/** How far each acid climbs, as a share of the solvent's front: common practice, no source. */
const RISE = { tartaric: 0.3, malic: 0.52, lactic: 0.76 } as const
const NAME = { tartaric: 'Tartaric', malic: 'Malic', lactic: 'Lactic' } as const
type Acid = keyof typeof RISE
const LANES: readonly { name: string, acids: readonly Acid[] }[] = [
  { name: 'Tartaric', acids: ['tartaric'] },
  { name: 'Malic', acids: ['malic'] },
  { name: 'Lactic', acids: ['lactic'] }
]
const y = (acid: Acid) => 208 - RISE[acid] * 180
const x = (lane: number) => 44 + lane * 62
const STRENGTH: Record<Spot, number> = { none: 0, faint: 0.35, clear: 1 }
const mine = computed<Record<Acid, number>>(() => ({
  tartaric: 1,
  malic: malic.value ? STRENGTH[malic.value] : 0,
  lactic: lactic.value ? STRENGTH[lactic.value] : 0
}))
const said = computed(
  () =>
    `Paper with standards of tartaric, malic and lactic acid, and the wine: malic `
      + `${malic.value ? SPOT[malic.value].toLowerCase() : 'not given'}, lactic `
      + `${lactic.value ? SPOT[lactic.value].toLowerCase() : 'not given'}`
)
</script>

<template>
  <div class="paper">
    <svg viewBox="0 0 270 240" role="img" :aria-label="said">
      <rect x="8" y="6" width="254" height="206" rx="3" class="sheetpaper" />
      <line x1="8" x2="262" y1="28" y2="28" class="front" />
      <line x1="8" x2="262" y1="208" y2="208" class="start" />
      <text x="14" y="22" class="tiny">solvent front</text>
      <g v-for="(lane, i) in LANES" :key="lane.name">
        <ellipse v-for="a in lane.acids" :key="a" :cx="x(i)" :cy="y(a)" rx="15" ry="10" class="spot" />
        <text :x="x(i)" y="230" text-anchor="middle">{{ lane.name }}</text>
      </g>
      <g>
        <rect x="203" y="32" width="54" height="174" rx="6" class="lane" />
        <template v-for="(strength, a) in mine" :key="a">
          <ellipse v-if="strength > 0" :cx="x(3)" :cy="y(a)" rx="16" ry="11" class="spot" :style="{ opacity: strength }" />
          <ellipse v-else :cx="x(3)" :cy="y(a)" rx="16" ry="11" class="empty" />
        </template>
        <text :x="x(3)" y="230" text-anchor="middle" class="own">This wine</text>
      </g>
    </svg>
    <div class="grid gap-4 content-start">
      <ChoiceTiles
        :model-value="malic as Spot"
        :legend="`${NAME.malic} spot, half way up`" :items="items"
        :least="150"
        @update:model-value="malic = $event"
      />
      <ChoiceTiles
        :model-value="lactic as Spot"
        :legend="`${NAME.lactic} spot, higher`" :items="items"
        :least="150"
        @update:model-value="lactic = $event"
      />
    </div>
  </div>
</template>

<style scoped>
.paper {
  display: grid;
  grid-template-columns: minmax(220px, 300px) minmax(0, 1fr);
  gap: 20px;
}
svg {
  width: 100%;
  font-size: 12px;
  fill: var(--ink);
}
.sheetpaper {
  /* The dye of the paper, the same in both themes: it is a thing, not a surface. */
  fill: #4c6f6a;
  stroke: var(--line-strong);
}
.front,
.start {
  stroke: #dfe9e0;
  stroke-dasharray: 3 4;
}
.start {
  stroke-dasharray: none;
}
.tiny {
  font-size: 10px;
  fill: #eef4ee;
}
.spot {
  fill: #f0dc7c;
}
.empty {
  fill: none;
  stroke: #dfe9e0;
  stroke-dasharray: 3 3;
}
.lane {
  fill: #ffffff14;
  stroke: #f1e8da;
  stroke-width: 1.5;
}
.own {
  font-weight: 700;
}
@media (max-width: 640px) {
  .paper {
    grid-template-columns: minmax(0, 1fr);
  }
  svg {
    max-width: 300px;
  }
}
</style>
