<script setup lang="ts">
import { BOTTLING_RESERVE } from '~~/core/stages'
import { bottlesForm } from '~/benches/bottling'
import { RESTS } from '~~/core/benches'
import { AFTERWARDS, REST } from '~/wording/finishing'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'

/** Bottling day: which bottles from the net volume, what it needs, and the real numbers back. */
const { lot } = useLotFromAddress()
const f = useFormat()
const bench = useBench(bottlesForm, lot)
const { ready, knows, mayGoOn } = bench.gate!
const mix = computed(() => bench.answer.value.mix)
const closing = computed(() => bench.answer.value.closing)
const sparkling = computed(() => bench.answer.value.sparkling)
const left = computed(() => mix.value && f.volume(mix.value.leftMl / 1000))
const rest = computed({
  get: () => bench.answer.value.rest?.becomes ?? 'later',
  set: (becomes) => bench.set('rest', becomes)
})
useHead({ title: 'Bottling day · Presk' })
</script>

<template>
  <BenchFrame title="Bottling day" :lot="lot" @submit="bench.log">
    <template #answer>
      <template v-if="mix">
        <ul class="mix">
          <li v-for="b in mix.bottles" :key="b.ml">
            <b class="figure">{{ b.count }}</b> <span>of {{ b.ml }} mL</span>
          </li>
          <li v-if="mix.bottles.length === 0" class="soft">Not enough wine for one of these bottles.</li>
        </ul>
        <p class="soft">
          {{ mix.leftMl > 0 && left ? `${f.words(left)} left over: drink it, or keep it for topping up.` : 'Nothing left over.' }}
        </p>
      </template>
      <p v-else class="soft">Enter the volume and the bottles you have.</p>
    </template>
    <template #inputs>
      <BenchFields :bench="bench" />
      <p class="wide soft small">
        A different bottle or closure?
        <NuxtLink to="/stores/cards" class="textlink">Add a card for it</NuxtLink>, with the pressure it is rated for.
      </p>
    </template>
    <template #results>
      <section class="grid gap-2">
        <h2>In this order</h2>
        <ol class="timed">
          <li>
            <b class="figure">{{ closing.needed }}</b><span
            >closures, and as many bottles, rinsed, sanitised and upside down.
              <template v-if="closing.inStore !== undefined">
                {{ closing.inStore }} in store<b v-if="closing.inStore < closing.needed"
                >: {{ closing.needed - closing.inStore }} short</b
                >; Presk takes off what you use.
              </template></span
            >
          </li>
          <li v-if="sparkling">
            <b class="figure">None</b
            ><span>of sulphite now: it would stop the second ferment. Stir in sugar and yeast evenly first.</span>
          </li>
          <li v-else>
            <b class="figure">{{ BOTTLING_RESERVE }} mg</b
            ><span>of free SO₂ per litre above its level, for the air it takes up. Stir it in the day before.</span>
          </li>
          <li><b class="figure">15–40 mm</b><span>of space under the closure. With less, a warm day pushes the cork out.</span></li>
          <li v-if="!sparkling">
            <b class="figure">3 days</b><span>upright, then on their side if corked. Soak or steam corks briefly first.</span>
          </li>
          <li v-if="!sparkling">
            <b class="figure">6 weeks</b><span>before you judge it, because bottling upsets a wine. Keep the last bottle for a year.</span>
          </li>
        </ol>
        <p v-if="sparkling" class="soft">{{ f.degrees(AFTERWARDS) }}</p>
        <p class="soft small">
          Common practice. Put lot, vintage, date, alcohol and “contains sulphites” on the label<template v-if="lot"
          >: <NuxtLink :to="`/lots/${lot.id}/labels`" class="textlink">print them</NuxtLink></template
          >.
        </p>
      </section>
      <template v-if="lot">
        <GateBefore v-if="!ready" v-model="knows" :lot="lot" :gate="sparkling ? 'bottling-sparkling' : 'bottling-still'" />
        <div v-if="mayGoOn" class="wentin sheet">
          <h2>Filled</h2>
          <div class="tries"><BenchFields :bench="bench" part="went-in" /></div>
          <ChoiceTiles
            v-if="bench.answer.value.rest"
            v-model="rest"
            :legend="`And the rest? ${f.words(f.volume(bench.answer.value.rest.litres))} left in the vessel`"
            :items="RESTS.map((value) => ({ value, ...REST[value] }))"
            :least="190"
          />
          <p v-if="bench.problem.value" class="message" role="alert">{{ bench.problem.value }}</p>
          <div class="go"><span /><UButton type="submit" size="xl">Log it</UButton></div>
        </div>
      </template>
      <CautionNote code="fullGlass" />
      <CautionNote v-if="sparkling" code="pressure" />
    </template>
  </BenchFrame>
</template>

<style scoped>
.mix {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
}
.mix .figure {
  font-size: 3.2rem;
  line-height: 1;
}
</style>
