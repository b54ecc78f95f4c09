<script setup lang="ts">
import { sayDayAndYear } from '~/wording/days'
import { SCORED, sayCame, sayHeld, sayRange, sayTally } from '~/wording/score'
import { useScore } from '~/composables/useScore'

/** What was foretold beside what came. */
const { all, tallies, busy, nameOf } = useScore()
const FIRST = 30
const shown = ref(FIRST)
const order = Object.keys(SCORED)
const rows = computed(() => tallies.value.toSorted((a, b) => order.indexOf(a.figure) - order.indexOf(b.figure)))
const total = computed(() => ({ count: all.value.length, held: all.value.filter((f) => f.held).length }))
useHead({ title: 'How good the forecasts were · Presk' })
</script>

<template>
  <div class="score">
    <h1>How good the forecasts were</h1>
    <p class="soft">
      Every forecast in Presk has a range that should hold four times out of five. For each reading, this page works out what Presk would
      have forecast from the readings before it, and checks whether the new one fell in that range.
    </p>
    <template v-if="all.length">
      <p class="sum" role="status">
        Of {{ total.count }} forecasts, <b>{{ total.held }}</b> held.
        <span v-if="busy" class="soft">Still checking ferments…</span>
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">Forecast</th>
            <th scope="col">Held</th>
            <th scope="col" class="wide">Expected</th>
            <th scope="col">What that says</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="t in rows" :key="t.figure">
            <th scope="row">{{ SCORED[t.figure].name }}</th>
            <td class="figure">{{ t.held }} of {{ t.count }}</td>
            <td class="figure wide">about {{ Math.round(t.count * 0.8) }}</td>
            <td>{{ sayTally(t.count, t.held) }}</td>
          </tr>
        </tbody>
      </table>
      <LearnedHere />
      <h2>One by one</h2>
      <ul>
        <li v-for="f in all.slice(0, shown)" :key="`${f.figure} ${f.of} ${f.at}`" :class="{ missed: !f.held }">
          <span class="soft small">{{ sayDayAndYear(f.at) }}, {{ nameOf(f.of) }}</span>
          <span>
            {{ SCORED[f.figure].name }}: forecast {{ sayRange(f) }}, measured <b class="figure">{{ sayCame(f) }}</b>, {{ sayHeld(f) }}.
          </span>
        </li>
      </ul>
      <UButton v-if="all.length > shown" variant="outline" class="justify-self-start" @click="shown += FIRST">Show more</UButton>
    </template>
    <p v-else-if="busy" role="status" class="soft">Checking the ferments…</p>
    <p v-else role="status">
      Nothing to check yet. A ferment needs three gravities, a wine two readings of free SO₂, a block three berry samples.
    </p>
    <LearnedHere v-if="!all.length" />
  </div>
</template>

<style scoped>
.score {
  display: grid;
  gap: 16px;
  max-width: 60rem;
}
.sum {
  font-size: 1.25rem;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  padding: 8px 16px 8px 0;
  border-bottom: 1.5px solid var(--line);
  font-weight: 400;
  vertical-align: top;
}
thead th {
  color: var(--ink-soft);
}
li {
  display: grid;
  grid-template-columns: 14rem minmax(0, 1fr);
  gap: 2px 20px;
  padding: 8px 0;
  border-top: 1.5px solid var(--line);
}
.missed {
  color: var(--stop);
}
@media (max-width: 640px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
  th,
  td {
    padding-right: 8px;
  }
  .wide {
    display: none;
  }
  td.figure {
    white-space: nowrap;
  }
}
</style>
