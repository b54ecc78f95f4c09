<script setup lang="ts">
const { lot } = useLotFromAddress()
const BENCHES = [
  {
    to: '/bench/measure',
    name: 'Measure',
    what: 'Sugar on every scale, corrected for temperature. TA from a titration, and where a must is on the map.'
  },
  {
    to: '/bench/correct',
    name: 'Correct the must',
    what: 'Try acid, carbonate, water or sugar before you add it, or let Presk find the smallest additions.'
  },
  {
    to: '/bench/sulphite',
    name: 'Sulphite',
    what: 'How much to weigh for the free SO₂ this pH needs. Also with tablets, and by other methods.'
  },
  { to: '/bench/free-so2', name: 'Free SO₂ by titration', what: 'From iodine or aspiration, corrected for what red wine does to iodine.' },
  {
    to: '/bench/sweeten',
    name: 'Sugar and water',
    what: 'Raise a must with sugar or honey, or dilute a must, kit or concentrate to a gravity.'
  },
  {
    to: '/bench/yeast',
    name: 'Yeast and nutrient',
    what: 'Which yeast, how much and how to rehydrate it; how much nutrient and when.'
  },
  { to: '/bench/heat', name: 'Cooling and heating', what: 'Frozen bottles a day to cool a ferment, or watts to warm it.' },
  { to: '/bench/alcohol', name: 'Alcohol', what: 'From two gravities by several methods, or from a refractometer during the ferment.' },
  {
    to: '/bench/blend',
    name: 'Blend',
    what: 'What two or more wines make together, pH included, or how much of each for a target.'
  },
  {
    to: '/bench/trial',
    name: 'Bench trial',
    what: 'Fine in glasses first: how many millilitres in each, blind, and the choice for the whole lot.'
  },
  {
    to: '/bench/stability',
    name: 'Heat and cold tests',
    what: 'For protein and crystals: a method, a timer, and what the result means.'
  },
  { to: '/bench/cold', name: 'Cold stabilising', what: 'How cold and how long, how much tartar drops, and pH and TA afterwards.' },
  {
    to: '/bench/sweet',
    name: 'Sweeten a wine',
    what: 'Find the sweetness in the glass, then hold it with sorbate and sulphite or with heat.'
  },
  {
    to: '/bench/sparkling',
    name: 'Sparkling wine',
    what: 'Sugar for a pressure, counting any sugar left, and whether the bottle holds it.'
  },
  { to: '/bench/bottles', name: 'Bottling day', what: 'Which bottles you need, in what order to work, and what you filled.' },
  { to: '/words', name: 'Glossary', what: 'What pH, lees, racking and other words mean, in a sentence or two.' }
] as const
useHead({ title: 'Bench · Presk' })
</script>

<template>
  <div>
    <div class="title">
      <h1>Bench</h1>
      <BenchLotPicker :lot="lot" />
    </div>
    <p class="soft">All calculations, with the figures of a lot or with your own.</p>
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
