<script setup lang="ts">
import { hoursBetween } from '~~/core/units'
import { isFermenting } from '~~/core/ledger'
import { hoursWords, sayStep } from '~/wording/crush'
import { sayWhen } from '~/wording/days'
import { SOURCE, type YeastSource } from '~/wording/yeast-sources'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { useYeastBench } from '~/composables/useYeastBench'

const now = useNow()
const f = useFormat()
const yeast = useYeastBench()
const { lot, again } = yeast
const run = yeast.run.run
const pitch = computed(() => yeast.bench.answer.value.step)
const before = computed(() => yeast.bench.answer.value.before)
const sources = Object.entries(SOURCE).map(([value, { label }]) => ({ value: value as YeastSource, label }))
/** As its plan has it, until somebody says otherwise here. What did not start gets fresh yeast from a packet. */
const chosen = ref<YeastSource>()
const source = computed<YeastSource>({
  get: () => {
    if (again.value) return 'packet'
    const planned = lot.value?.plan.yeast
    return chosen.value ?? (planned === 'wild' || planned === 'lees' ? planned : 'packet')
  },
  set: (to) => {
    chosen.value = to
  }
})
useHead({ title: () => `Yeast for ${lot.value?.name ?? 'a lot'} · Presk` })
</script>

<template>
  <div v-if="!lot" class="grid gap-3">
    <h1>This cellar has no such lot</h1>
    <p><NuxtLink to="/crush" class="textlink">Crush day</NuxtLink></p>
  </div>
  <div v-else class="yeast">
    <header>
      <p class="soft">
        <NuxtLink :to="`/crush/${lot.id}`" class="textlink">{{ lot.name }}, crush day</NuxtLink>
      </p>
    </header>
    <YeastRunning v-if="run?.plan" :yeast="yeast" />
    <template v-else-if="lot.inoculatedAt && !again">
      <h1>The yeast is in</h1>
      <p>Since {{ sayWhen(lot.repitchedAt ?? lot.inoculatedAt, now) }}.</p>
      <p v-if="isFermenting(lot)">
        <NuxtLink :to="`/crush/${lot.id}/yeast?again=1`" class="textlink">It has not started: pitch again</NuxtLink>
      </p>
    </template>
    <template v-else>
      <h1>{{ again ? `Fresh yeast for ${lot.name}` : `Yeast for ${lot.name}` }}</h1>
      <p v-if="again" class="soft">
        {{ f.degrees('Check its temperature first. Below 15 °C few yeasts start, and fresh yeast would wait as well.') }}
      </p>
      <FindingNote v-if="pitch?.status === 'waiting' && pitch.opensAt" tone="stop"
      >Sulphite went in less than 12 hours ago. Wait {{ hoursWords(hoursBetween(now, pitch.opensAt)) }} more,
        until {{ sayWhen(pitch.opensAt, now) }}.</FindingNote
      >
      <FindingNote v-if="before.length">Not done yet: {{ before.map((s) => sayStep(s).title.toLowerCase()).join(', ') }}.</FindingNote>
      <FindingNote v-if="pitch?.over" tone="stop">The sulphite went in more than a day ago. Pitch soon.</FindingNote>
      <SelectField
        v-if="lot.stream !== 'kit' && !again"
        v-model="source"
        class="max-w-(--measure)"
        label="Where the yeast comes from"
        :items="sources"
        :hint="SOURCE[source].hint"
      />
      <YeastWild v-if="source === 'wild' && lot.stream !== 'kit'" :lot="lot" />
      <YeastLees v-else-if="source === 'lees' && lot.stream !== 'kit'" :lot="lot" :potential="yeast.bench.answer.value.potential" />
      <YeastLadle v-else-if="source === 'ladle' && lot.stream !== 'kit'" :lot="lot" :potential="yeast.bench.answer.value.potential" />
      <div v-else class="two">
        <YeastAmounts :yeast="yeast" />
        <YeastChoice :yeast="yeast" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.yeast {
  display: grid;
  gap: 18px;
  max-width: 1060px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 24px 52px;
}
@media (max-width: 860px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
