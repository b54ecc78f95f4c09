<script setup lang="ts">
import { isFermenting } from '~~/core/ledger'
import { fact } from '~~/core/drafts'
import { answeredSince } from '~~/core/stages'
import { sayWhen } from '~/wording/days'
import { OPERATION } from '~/wording/terms'

/** Ice to hold a ferment down, or watts to hold it up. */
const { lot } = useLotFromAddress()
const bench = useHeatBench(lot)
const f = useFormat()
const BOTTLE_L = 1.5
const bottles = computed(() => (bench.balance.value ? bench.balance.value.iceLPerDay / BOTTLE_L : 0))
const rhythm = computed(() =>
  bottles.value < 1 ? 'one a day' : `${Math.ceil(bottles.value)} a day, one every ${Math.max(1, Math.round(24 / bottles.value))} h`
)
/** To a tenth of a litre: neither the walls nor the pace are known better. */
const ice = (litres: number) => f.words(f.volume(Math.max(0.1, Math.round(litres * 10) / 10)))
const headline = computed(() => {
  const b = bench.balance.value
  if (!b) return undefined
  if (b.iceLPerDay > 0.3) return { number: ice(b.iceLPerDay), text: 'of ice a day holds it there.' }
  if (b.heaterW > 3) return {
    number: `${b.heaterW < 10 ? b.heaterW.toFixed(0) : Math.round(b.heaterW / 5) * 5} W`,
    text: 'of heating holds it there.'
  }
  return { number: 'Do nothing', text: 'It makes as much heat as its walls lose.' }
})
/** Said once, and Presk asks for the next temperature instead of for more ice. */
const cellar = useCellarStore()
const logged = useLogged()
const now = useNow()
const since = computed(() => {
  const l = lot.value
  const [cool, warm] = [l && answeredSince(l, 'cool', now.value), l && answeredSince(l, 'warm', now.value)]
  return cool ? { word: 'cooled', at: cool } : warm ? { word: 'warmed', at: warm } : undefined
})
const doing = computed(() => {
  const [b, l] = [bench.balance.value, lot.value]
  if (!b || !l || !isFermenting(l) || since.value) return undefined
  return b.iceLPerDay > 0.3 || b.iceLToBring > 0.2 ? 'cool' : b.heaterW > 3 ? 'warm' : undefined
})
async function does(what: 'cool' | 'warm') {
  if (await cellar.log([fact('operation', { lotId: lot.value!.id, what })])) logged(`${lot.value!.name}: ${OPERATION[what].toLowerCase()}`)
}
const round = (x: number, d = 0) => x.toFixed(d)
const working = computed(() => {
  const b = bench.balance.value!
  const [litres, pace, target, room] = [bench.volume.value ?? 0, bench.pace.value ?? 0, bench.target.value ?? 0, bench.room.value ?? 0]
  return [
    { what: 'Made', formula: `${round(pace)} g/L × ${round(litres)} L × 0.55 kJ/g ÷ 86.4`, result: `${round(b.madeW)} W` },
    { what: 'Lost', formula: `${round(b.lossWPerK, 1)} W/K × (${round(target, 1)} − ${round(room, 1)}) K`, result: `${round(b.lostW)} W` },
    { what: 'Ice', formula: '(made − lost) × 86.4 ÷ kJ that a litre takes up', result: `${round(b.iceLPerDay, 1)} L a day` }
  ]
})
useHead({ title: 'Cooling and heating · Presk' })
</script>

<template>
  <BenchFrame title="Cooling and heating" :lot="lot">
    <template #answer>
      <div v-if="headline && bench.balance.value">
        <p class="big figure">{{ headline.number }}</p>
        <p>{{ headline.text }}</p>
        <p v-if="bottles > 0.2" class="soft">
          As 1.5 L bottles: {{ rhythm }}.
        </p>
        <p v-if="bench.balance.value.iceLToBring > 0.2" class="soft">
          To cool it down once: {{ ice(bench.balance.value.iceLToBring) }} of ice.
        </p>
      </div>
      <UButton v-if="doing" class="mt-3" @click="does(doing)">
        {{ doing === 'cool' ? 'I am cooling it' : 'I am warming it' }}
      </UButton>
      <p v-if="since" class="mt-3">Being {{ since.word }} since {{ sayWhen(since.at, now) }}. Read its temperature again in a few hours.</p>
      <p v-if="!headline" class="soft">Enter how warm it is, how warm it should be, and how fast it ferments.</p>
    </template>
    <template #inputs>
      <QuantityField label="Must" :field="bench.volume" />
      <QuantityField label="Sugar fermented per day" :field="bench.pace" unit-label="g/L" hint="from the forecast, if there is one" />
      <QuantityField label="Temperature now" :field="bench.must" />
      <QuantityField label="Hold it at" :field="bench.target" />
      <QuantityField label="Room" :field="bench.room" />
    </template>
    <template #results>
      <dl v-if="bench.balance.value" class="pairs">
        <div><dt>Heat from the yeast</dt><dd class="figure">{{ bench.balance.value.madeW.toFixed(0) }} W</dd></div>
        <div>
          <dt>Heat lost through the walls</dt>
          <dd class="figure">{{ bench.balance.value.lostW.toFixed(0) }} W</dd>
        </div>
        <div>
          <dt>Per degree</dt>
          <dd>
            <b class="figure">{{ bench.balance.value.lossWPerK.toFixed(1) }} W</b>
            <span class="soft small block">
              {{ bench.loss.value === undefined ? 'usual for its size' : 'learnt from its temperatures' }}
            </span>
          </dd>
        </div>
        <div>
          <dt>Left alone it reaches</dt>
          <dd class="figure">{{ f.words(f.temperature(Math.min(60, bench.balance.value.settlesC))) }}</dd>
        </div>
      </dl>
      <WorkingNote
        v-if="bench.balance.value"
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
