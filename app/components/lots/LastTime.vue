<script setup lang="ts">
import type { LotView, Stream, Style } from '~~/core/ledger'
import { sayDayAndYear } from '~/wording/days'
import { useFormat } from '~/composables/useFormat'
import { useCellarStore } from '~/stores/cellar'

/** What was noted for next time on lots of this kind, beside their figures: of the same name first, else of the same stream and style. */
const props = defineProps<{ name: string, stream: Stream, style: Style }>()
const cellar = useCellarStore()
const f = useFormat()
const word = computed(() => props.name.trim().toLocaleLowerCase())
const isSame = (l: LotView) =>
  word.value.length > 2
  && [l.name, ...l.sources.map((s) => s.variety)].some((name) => name.toLocaleLowerCase().includes(word.value))
const notesOf = (lotId: string) =>
  cellar.facts.flatMap(({ fact, struck }) =>
    !struck && fact.type === 'observation' && fact.what === 'next-time' && fact.lotId === lotId
      ? [{ id: fact.id, at: fact.at, text: fact.text }]
      : []
  )
const like = computed(() => {
  const named = cellar.lots.filter(isSame)
  const kind = named.length > 0 ? named : cellar.lots.filter((l) => l.stream === props.stream && l.style === props.style)
  return kind
    .map((lot) => ({ lot, notes: notesOf(lot.id) }))
    .filter((x) => x.notes.length > 0)
    .slice(0, 3)
})
const figures = (l: LotView) =>
  [
    l.originalSg && f.words(f.sugar(l.originalSg.value)),
    l.ph && `pH ${l.ph.value.toFixed(2)}`,
    l.ta && `TA ${l.ta.value.toFixed(1)} g/L`,
    l.abv && `${l.abv.value.toFixed(1)} % vol`,
    l.tastings.length > 0 && `${l.tastings.at(-1)!.rating} of 10`
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <section v-if="like.length" class="sheet p-5 grid gap-3" aria-label="Noted last time">
    <h2>Noted last time</h2>
    <div v-for="x in like" :key="x.lot.id" class="grid gap-1">
      <p>
        <NuxtLink :to="`/lots/${x.lot.id}`" class="textlink">{{ x.lot.name }}</NuxtLink>
        <span class="soft small"> {{ [x.lot.vintage, figures(x.lot)].filter(Boolean).join(': ') }}</span>
      </p>
      <ul class="list-disc ps-5">
        <li v-for="n in x.notes" :key="n.id">{{ n.text }} <span class="soft small">{{ sayDayAndYear(n.at) }}</span></li>
      </ul>
    </div>
  </section>
</template>
