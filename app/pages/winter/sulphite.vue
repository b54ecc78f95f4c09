<script setup lang="ts">
import { materialTitle } from '~/wording/materials'
import { useFormat } from '~/composables/useFormat'
import { useSulphiteRound } from '~/composables/useSulphiteRound'

/** The month's round: measure, dose, go on, with one list to weigh by. */
const round = useSulphiteRound()
const { lines, unread, toDose, totalG, stockMl, salt, stockGPerL } = round
const f = useFormat()
/** A little more than is needed stays in the jug. */
const madeMl = computed(() => Math.ceil((stockMl.value * 1.1) / 10) * 10)
useHead({ title: 'Sulphite round · Presk' })
</script>

<template>
  <div class="grid gap-6">
    <header>
      <p class="soft"><NuxtLink to="/winter" class="textlink">The winter</NuxtLink></p>
      <h1>The month’s sulphite round</h1>
      <p class="soft">
        In the order of your cellar. Measure first where you can: each reading improves the dose and what Presk learns about the wine.
      </p>
    </header>
    <p v-if="lines.length + unread.length === 0" class="soft">No wine needs sulphite yet.</p>
    <section v-if="toDose.length" class="sheet p-5 grid gap-3" aria-labelledby="weigh">
      <h2 id="weigh">To weigh today</h2>
      <dl class="pairs columns">
        <div v-for="l in toDose" :key="l.lot.id">
          <dt>{{ l.lot.name }} <span class="soft small">+{{ l.addMgPerL.toFixed(0) }} mg/L</span></dt>
          <dd><b>{{ f.words(f.powder(l.grams)) }}</b> <span class="soft small">or {{ l.stockMl.toFixed(1) }} mL</span></dd>
        </div>
        <div><dt><b>{{ materialTitle(salt) }} in all</b></dt><dd><b>{{ f.words(f.powder(totalG)) }}</b></dd></div>
      </dl>
      <p class="soft small">
        As a stock solution: {{ f.words(f.powder((madeMl * stockGPerL) / 1000)) }} made up to {{ madeMl }} mL with cool water, fresh for
        the day.
        The doses last until the next round in five weeks, at the rate each wine loses sulphite.
      </p>
    </section>
    <ol>
      <SulphiteRoundLine
        v-for="(l, i) in lines"
        :key="l.lot.id"
        :line="l"
        :salt="salt"
        :number="i + 1"
        @read="(typed, value) => void round.read(l.lot, typed, value)"
        @went-in="(actual, byStock) => void round.wentIn(l, actual, byStock)"
      />
    </ol>
    <ul v-if="unread.length">
      <li v-for="l in unread" :key="l.id" class="rule py-3">
        <b>{{ l.name }}</b> <span class="soft">{{ l.ph ? 'Its free SO₂ is not known yet.' : 'Its pH is not known yet.' }}</span>
        <NuxtLink :to="`/bench/measure?lot=${l.id}`" class="textlink ml-2">Measure</NuxtLink>
      </li>
    </ul>
    <CautionNote v-if="toDose.length" code="sulphite" />
  </div>
</template>
