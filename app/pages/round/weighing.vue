<script setup lang="ts">
import { type WeighingLine, weighingOf } from '~~/core/stages'
import { sayFullDay } from '~/wording/days'
import { useFloor } from '~/composables/useFloor'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useNow } from '~/composables/useNow'
import { useWeighing } from '~/composables/useWeighing'
import { useCellarStore } from '~/stores/cellar'

/** What today's tasks want measured out, to take along to the scale; as a page and on paper. */
const floor = useFloor()
const cellar = useCellarStore()
const now = useNow()
const f = useFormat()
const materials = useMaterials()
const { weigh } = useWeighing()
const list = computed(() =>
  weighingOf(floor.items.value.map(({ lot, tasks }) => ({ lot, tasks: tasks.map((said) => said.finding) })))
)
const wordsOf = (lotId: string, key: string) =>
  floor.items.value.find(({ lot }) => lot.id === lotId)?.tasks.find((said) => said.finding.key === key)?.words.title
const vesselOf = (id: string) => cellar.state.vessels.get(id)?.name ?? 'another vessel'
const vesselsOf = (lot: WeighingLine['lot']) => [...lot.contents.keys()].map(vesselOf).join(', ')
const amountOf = ({ material, amount, unit }: Pick<WeighingLine, 'material' | 'amount' | 'unit'>) =>
  unit === 'g' ? f.words(weigh(material, amount).shown) : `${Number(amount.toPrecision(3))} ${unit}`
/** Without a scale that tells: spoons, or a measure of stock. */
function insteadOf({ material, amount, unit }: WeighingLine): string {
  if (unit !== 'g') return ''
  const { stockMl, spoons } = weigh(material, amount)
  return stockMl !== undefined ? `${stockMl.toFixed(1)} mL of stock (10 g in 100 mL)` : spoons ? `${spoons.words}, level` : ''
}
const print = () => window.print()
useHead({ title: 'Weighing list · Presk' })
</script>

<template>
  <div class="grid gap-4 [&>*]:min-w-0">
    <PrintHead back="/" label="Today" @print="print" />
    <h1>Weighing list, {{ sayFullDay(now) }}</h1>
    <p v-if="!list.lines.length && !list.open.length">There is nothing to weigh today.</p>
    <div v-if="list.lines.length" class="ruled" tabindex="0" role="region" aria-label="The list">
      <table>
        <thead>
          <tr>
            <th>Lot</th>
            <th>What</th>
            <th>Weigh</th>
            <th class="wide">Without a scale</th>
            <th class="wide">For</th>
            <th class="wide">Went in</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in list.lines" :key="line.lot.id + line.task.key + line.material">
            <th scope="row">{{ line.lot.name }}<span class="soft small block">{{ vesselsOf(line.lot) }}</span></th>
            <td>{{ materials.title(line.material) }}</td>
            <td>
              <span class="figure">{{ amountOf(line) }}</span>
              <span v-for="share in line.shares" :key="share.vesselId" class="block small">
                {{ vesselOf(share.vesselId) }}: {{ amountOf({ ...line, amount: share.amount }) }}
              </span>
              <span class="narrow small">{{ insteadOf(line) }}</span>
            </td>
            <td class="or wide">{{ insteadOf(line) }}</td>
            <td class="wide">{{ wordsOf(line.lot.id, line.task.key) }}</td>
            <td class="blank wide" />
          </tr>
        </tbody>
        <tfoot>
          <tr v-for="sum in list.sums" :key="sum.material + sum.unit">
            <th scope="row">Total</th>
            <td>{{ materials.title(sum.material) }}</td>
            <td class="figure">{{ amountOf(sum) }}</td>
            <td class="wide" colspan="3" />
          </tr>
        </tfoot>
      </table>
    </div>
    <section v-if="list.open.length">
      <h2>Doses to work out first</h2>
      <ul>
        <li v-for="o in list.open" :key="o.lot.id + o.task.key">
          <NuxtLink :to="`/lots/${o.lot.id}`" class="textlink">{{ o.lot.name }}</NuxtLink>: {{ wordsOf(o.lot.id, o.task.key) }}
        </li>
      </ul>
    </section>
    <p class="small soft">
      Write down what really went in, and log it. These amounts come from your latest readings: if the list is more than a day old, measure
      again first. Keep sulphite away from your face. Never exceed the limits on the packet.
    </p>
  </div>
</template>

<style scoped>
.figure {
  white-space: nowrap;
  font-weight: 700;
}
.or {
  min-width: 7.5rem;
}
.blank {
  min-width: 90px;
}
.narrow {
  display: none;
}
/* At the scale with a phone: what to weigh, and nothing to scroll. On paper all of it. */
@media screen and (max-width: 560px) {
  .wide {
    display: none;
  }
  .narrow {
    display: block;
  }
}
</style>
