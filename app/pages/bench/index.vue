<script setup lang="ts">
const { lot } = useLotFromAddress()
const BENCHES = [
  {
    to: '/bench/measure',
    name: 'Measure',
    what: 'Sugar on every scale, corrected for temperature. TA from a titration. Where a must stands.'
  },
  {
    to: '/bench/correct',
    name: 'Correct the must',
    what: 'Try acid, carbonate, water or sugar before it is poured. Or let Presk find the smallest additions.'
  },
  {
    to: '/bench/sulphite',
    name: 'Sulphite',
    what: 'How much to weigh for the free SO₂ that this pH asks for. Tablets and schools beside it.'
  },
  { to: '/bench/free-so2', name: 'Free SO₂ by titration', what: 'From iodine or aspiration, with what a red does to iodine.' },
  {
    to: '/bench/sweeten',
    name: 'Sugar and water',
    what: 'Raise a must with sugar or honey; thin a must, a kit or a concentrate to a gravity.'
  },
  {
    to: '/bench/yeast',
    name: 'Yeast and nutrient',
    what: 'Which kind, how much, from packet to must by the minute; nitrogen and when to give it.'
  },
  { to: '/bench/heat', name: 'Ice and warmth', what: 'Frozen bottles a day to hold a ferment down, or watts to hold it up.' },
  { to: '/bench/alcohol', name: 'Alcohol', what: 'From two gravities by every school, or from a refractometer during the ferment.' },
  {
    to: '/bench/blend',
    name: 'Blend',
    what: 'What two or more wines come to together, pH and all; or how much of each for what is wanted.'
  },
  {
    to: '/bench/trial',
    name: 'Bench trial',
    what: 'Fining in glasses first: how many millilitres into each, blind, and the choice for the whole lot.'
  },
  {
    to: '/bench/stability',
    name: 'Heat and cold tests',
    what: 'For protein and for crystals: by a rule, on their clock, and what follows from what fell.'
  },
  { to: '/bench/cold', name: 'Cold stabilising', what: 'How cold and how long, what tartar falls, and pH and TA after it.' },
  {
    to: '/bench/sweet',
    name: 'Sweeten a wine',
    what: 'A ladder in the glass, then sorbate with sulphite, or heat; and when neither may be.'
  },
  {
    to: '/bench/sparkling',
    name: 'Sparkling on purpose',
    what: 'Sugar for a pressure, all that is left counted, and whether the bottle holds it.'
  },
  { to: '/bench/bottles', name: 'Bottling day', what: 'Which bottles from the net volume, in what order, and the real numbers back.' },
  { to: '/words', name: 'Words of the trade', what: 'What pH, lees, racking and the others mean, in a sentence or two.' }
] as const
useHead({ title: 'Bench · Presk' })
</script>

<template>
  <div>
    <div class="title">
      <h1>Bench</h1>
      <BenchLotPicker :lot="lot" />
    </div>
    <p class="soft">All the arithmetic, with a lot’s own figures or free-standing.</p>
    <ul class="benches">
      <li v-for="b in BENCHES" :key="b.to">
        <NuxtLink :to="lot && b.to !== '/words' ? { path: b.to, query: { lot: lot.id } } : b.to"
        ><h2>{{ b.name }}</h2>
          <p class="soft">{{ b.what }}</p></NuxtLink
        >
      </li>
    </ul>
  </div>
</template>

<style scoped>
.title {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
}
.benches {
  margin-top: 20px;
  columns: 2 340px;
  column-gap: 56px;
}
.benches li {
  break-inside: avoid;
  border-top: 1.5px solid var(--line);
}
.benches a {
  display: block;
  padding: 14px 4px;
  border-radius: 6px;
}
.benches a:hover h2 {
  color: var(--skin);
  text-decoration: underline;
  text-underline-offset: 4px;
  text-decoration-thickness: 2px;
}
</style>
