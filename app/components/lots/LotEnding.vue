<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import { endingOf } from '~~/core/stages'
import { sayWhen } from '~/wording/days'
import { ENDING, METHOD } from '~/wording/ending'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'

/** Dry or not: the verdict, the readings it rests on, the sugar left and the alcohol by every method. */
const props = defineProps<{ lot: LotView }>()
const now = useNow()
const f = useFormat()
const end = computed(() => endingOf(props.lot))
const left = computed(() => {
  const sugar = end.value?.sugarLeft
  if (!sugar) return ''
  return sugar.measured ? sugar.gPerL.toFixed(1) : `about ${Math.max(0, Math.round(sugar.gPerL))}`
})
</script>

<template>
  <section v-if="end">
    <h2 class="mb-2">{{ ENDING[end.verdict].title }}</h2>
    <p class="soft">{{ ENDING[end.verdict].text }}</p>
    <dl class="pairs mt-2">
      <div v-for="p in end.dryness?.agreeing.slice(-2) ?? []" :key="p.entryId">
        <dt>{{ sayWhen(p.at, now) }}</dt>
        <dd class="figure">{{ p.value.toFixed(3) }}</dd>
      </div>
      <div v-if="end.sugarLeft">
        <dt>Sugar left</dt>
        <dd>
          <b class="figure">{{ left }} g/L</b>
          <span class="soft small block">
            {{ end.sugarLeft.measured ? 'by a test' : 'by gravity, give or take 5; a test knows better' }}
          </span>
        </dd>
      </div>
      <div v-if="end.abv">
        <dt>Alcohol</dt>
        <dd>
          <b class="figure">{{ f.words(f.percentAlcohol(end.abv.value)) }}</b>
          <span class="soft small block">
            {{ end.abv.band.low.toFixed(1) }} to {{ end.abv.band.high.toFixed(1) }}, by the extract balance
          </span>
        </dd>
      </div>
    </dl>
    <FoldOut v-if="end.methods" label="Alcohol by other methods">
      <dl class="pairs">
        <div v-for="s in end.methods" :key="s.code">
          <dt>{{ METHOD[s.code] }}</dt>
          <dd class="figure">{{ f.words(f.percentAlcohol(s.abv)) }}</dd>
        </div>
      </dl>
    </FoldOut>
    <p v-else-if="end.abv && lot.changedSugarAt" class="soft small">
      Sugar or water went in during the ferment, so the short formulas are wrong. Use the extract balance.
    </p>
  </section>
</template>
