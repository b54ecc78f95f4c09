<script setup lang="ts">
import { heatForm } from '~/benches/heat'
import { sayWhen } from '~/wording/days'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'
import { useNow } from '~/composables/useNow'

/** Ice to hold a ferment down, or watts to hold it up. */
const { lot } = useLotFromAddress()
const bench = useBench(heatForm, lot)
const { answer, values } = bench
const f = useFormat()
const now = useNow()
const BOTTLE_L = 1.5
const bottles = computed(() => (answer.value.balance ? answer.value.balance.iceLPerDay / BOTTLE_L : 0))
const rhythm = computed(() =>
  bottles.value < 1 ? 'one a day' : `${Math.ceil(bottles.value)} a day, one every ${Math.max(1, Math.round(24 / bottles.value))} h`
)
/** To a tenth of a litre: neither the walls nor the pace are known better. */
const ice = (litres: number) => f.words(f.volume(Math.max(0.1, Math.round(litres * 10) / 10)))
const headline = computed(() => {
  const b = answer.value.balance
  if (!b) return undefined
  if (answer.value.holds === 'ice') return { number: ice(b.iceLPerDay), text: 'of ice a day holds it there.' }
  if (answer.value.holds === 'heater') return {
    number: `${b.heaterW < 10 ? b.heaterW.toFixed(0) : Math.round(b.heaterW / 5) * 5} W`,
    text: 'of heating holds it there.'
  }
  return { number: 'Do nothing', text: 'It makes as much heat as its walls lose.' }
})
const round = (x = 0, d = 0) => x.toFixed(d)
const working = computed(() => {
  const b = answer.value.balance!
  const { volume, pace, target, room } = values.value
  return [
    { what: 'Made', formula: `${round(pace)} g/L × ${round(volume)} L × 0.55 kJ/g ÷ 86.4`, result: `${round(b.madeW)} W` },
    { what: 'Lost', formula: `${round(b.lossWPerK, 1)} W/K × (${round(target, 1)} − ${round(room, 1)}) K`, result: `${round(b.lostW)} W` },
    { what: 'Ice', formula: '(made − lost) × 86.4 ÷ kJ that a litre takes up', result: `${round(b.iceLPerDay, 1)} L a day` }
  ]
})
useHead({ title: 'Cooling and heating · Presk' })
</script>

<template>
  <BenchFrame title="Cooling and heating" :lot="lot">
    <template #answer>
      <div v-if="headline && answer.balance">
        <p class="big figure">{{ headline.number }}</p>
        <p>{{ headline.text }}</p>
        <p v-if="bottles > 0.2" class="soft">
          As 1.5 L bottles: {{ rhythm }}.
        </p>
        <p v-if="answer.balance.iceLToBring > 0.2" class="soft">
          To cool it down once: {{ ice(answer.balance.iceLToBring) }} of ice.
        </p>
      </div>
      <UButton v-if="answer.wants" class="mt-3" @click="bench.log()">
        {{ answer.wants === 'cool' ? 'I am cooling it' : 'I am warming it' }}
      </UButton>
      <p v-if="answer.doing" class="mt-3">
        Being {{ answer.doing.what === 'cool' ? 'cooled' : 'warmed' }} since {{ sayWhen(answer.doing.since, now) }}. Read its temperature
        again in a few hours.
      </p>
      <p v-if="!headline" class="soft">Enter how warm it is, how warm it should be, and how fast it ferments.</p>
    </template>
    <template #inputs><BenchFields :bench="bench" /></template>
    <template #results>
      <dl v-if="answer.balance" class="pairs">
        <div><dt>Heat from the yeast</dt><dd class="figure">{{ answer.balance.madeW.toFixed(0) }} W</dd></div>
        <div>
          <dt>Heat lost through the walls</dt>
          <dd class="figure">{{ answer.balance.lostW.toFixed(0) }} W</dd>
        </div>
        <div>
          <dt>Per degree</dt>
          <dd>
            <b class="figure">{{ answer.balance.lossWPerK.toFixed(1) }} W</b>
            <span class="soft small block">
              {{ answer.lossWPerK === undefined ? 'usual for its size' : 'learned from its temperatures' }}
            </span>
          </dd>
        </div>
        <div>
          <dt>Left alone it reaches</dt>
          <dd class="figure">{{ f.words(f.temperature(Math.min(60, answer.balance.settlesC))) }}</dd>
        </div>
      </dl>
      <WorkingNote
        v-if="answer.balance"
        :steps="working"
        source="heat of fermentation 23.7 kcal a mole (Williams 1982), ice by the CRC Handbook, both from memory; walls: common practice"
      />
      <CautionNote code="dryIce" />
    </template>
  </BenchFrame>
</template>

<style scoped>
.big {
  font-size: clamp(2.4rem, 6vw, 3.4rem);
  line-height: 1.1;
}
</style>
