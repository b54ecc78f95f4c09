<script setup lang="ts">
import { expectedAt } from '~~/core/stages'
import { useRound, usualWork } from '~/composables/useRound'
import { dayHere, sayFullDay, sayWhen } from '~/wording/days'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'
import { useForecastsStore } from '~/stores/forecasts'

/** A sheet for the wall of the cellar: one row a vessel, to be filled with a pencil. Prints on A5 or A4. */
const tour = useRound()
const cellar = useCellarStore()
const forecasts = useForecastsStore()
forecasts.hurry()
const now = useNow()
const f = useFormat()
const rows = computed(() =>
  tour.lots.value.map((lot) => ({
    lot,
    vessel: [...lot.contents.keys()].map((id) => cellar.state.vessels.get(id)?.name).filter(Boolean).join(', '),
    last: lot.series.sg?.at(-1),
    expected: expectedAt(forecasts.known.get(lot.id), now.value),
    cap: usualWork(lot).includes('punch-down')
  }))
)
const isDay = computed(() => /^\d{4}-\d{2}-\d{2}$/.test(day.value) && !Number.isNaN(Date.parse(day.value)))
const head = computed(() => sayFullDay(which.value === 'read' && isDay.value ? `${day.value}T12:00:00.000Z` : now.value))
/** As it was read on a day, for the folder: in the address. */
const route = useRoute()
const router = useRouter()
const which = computed<'blank' | 'read'>({
  get: () => (route.query.day ? 'read' : 'blank'),
  set: (as) => void router.replace({ query: as === 'read' ? { day: dayHere(now.value) } : {} })
})
const WAYS = [{ value: 'blank', label: 'Blank' }, { value: 'read', label: 'As read' }] as const
const day = computed({
  get: () => String(route.query.day ?? ''),
  set: (asked: string) => void (asked && router.replace({ query: { day: asked } }))
})
const heads = computed(() => ['Vessel', 'Last', 'Expected', 'Time', 'Gravity', f.temperatureUnit.value, 'Cap', 'Smell, note'])
const print = () => window.print()
useHead({ title: 'Round sheet · Presk' })
</script>

<template>
  <div class="paper">
    <div class="ways noprint">
      <UButton size="lg" icon="i-lucide-printer" :loading="forecasts.busy" @click="print">
        {{ forecasts.busy ? 'Working out what to expect' : 'Print it' }}
      </UButton>
      <NuxtLink to="/round/filled" class="textlink">Enter a filled sheet</NuxtLink>
      <NuxtLink to="/round" class="textlink">Back to the round</NuxtLink>
    </div>
    <div class="ways noprint">
      <OneOfRow v-model="which" label="The sheet" :items="WAYS" />
      <DayField v-if="which === 'read'" v-model="day" label="Day" :error="isDay ? undefined : 'There is no such day. Choose another.'" />
    </div>
    <h1>{{ which === 'read' && !isDay ? 'Round sheet' : `Round of ${head}` }}</h1>
    <template v-if="which === 'read'"><RoundAsRead v-if="isDay" :day="day" /></template>
    <p v-else-if="!rows.length" class="soft">Nothing is fermenting.</p>
    <div v-else class="ruled" tabindex="0" role="region" aria-label="The sheet">
      <table>
        <thead>
          <tr>
            <th v-for="column in heads" :key="column">{{ column }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.lot.id">
            <th scope="row">{{ r.lot.name }}<span class="soft small block">{{ r.vessel }}</span></th>
            <td>
              <template v-if="r.last">
                {{ r.last.value.toFixed(3) }}<span class="soft small block">{{ sayWhen(r.last.at, now) }}</span>
              </template>
            </td>
            <td>{{ r.expected ? r.expected.mid.toFixed(3) : '' }}</td>
            <td class="blank" />
            <td class="blank wide" />
            <td class="blank" />
            <td class="blank">{{ r.cap ? '' : '–' }}</td>
            <td class="blank wide" />
          </tr>
        </tbody>
      </table>
    </div>
    <p class="small soft">
      Let the sample settle, read at the flat of the surface, and note the temperature of the must. Beware of the gas before you bend over
      a vessel.
    </p>
  </div>
</template>

<style scoped>
.paper {
  display: grid;
  gap: 14px;
}
.paper > * {
  min-width: 0;
}
.blank {
  height: 54px;
  min-width: 46px;
}
.wide {
  min-width: 84px;
}
@media print {
  h1 {
    font-size: 1.2rem;
  }
  .ruled :is(th, td) {
    padding: 4px;
    font-size: 0.8rem;
  }
  .blank {
    height: 44px;
    min-width: 30px;
  }
}
</style>
