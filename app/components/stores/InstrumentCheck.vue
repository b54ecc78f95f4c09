<script setup lang="ts">
import { fact } from '~~/core/drafts'
import { type Draft, type EntryOf, type InstrumentState, type Restatement, type Standard, checkAgainst } from '~~/core/ledger'
import { readNumber } from '~~/core/units'
import { sayWhen } from '~/wording/days'
import { materialName } from '~/wording/materials'
import type { InstrumentWords } from '~/wording/instruments'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'
import { useNow } from '~/composables/useNow'
import { withinLimits } from '~/composables/withinLimits'
import { useCellarStore } from '~/stores/cellar'

/** A check against one known value gives an offset, against two an offset and a slope. What it changes is shown first. */
const props = defineProps<{ instrument: InstrumentState, words: InstrumentWords }>()
const emit = defineEmits<{ done: [] }>()

const cellar = useCellarStore()
const now = useNow()
const logged = useLogged()
const points = ref([{ known: props.words.standards[0], shown: '' }])
const adjusted = ref(true)
const problem = ref<string>()
const preview = shallowRef<Restatement>()
const second = () => points.value.push({ known: props.words.standards[1] ?? '', shown: '' })

function draft(): Draft<EntryOf<'instrument-checked'>> | undefined {
  const standards: Standard[] = []
  for (const [i, point] of points.value.entries()) {
    const [known, shown] = [readNumber(point.known), readNumber(point.shown)]
    if (!known.ok || !shown.ok) {
      const wrong = known.ok ? point.shown : point.known
      problem.value =
        wrong.trim() === ''
          ? `Enter the known value and what it showed${points.value.length > 1 ? `, both times` : ''}.`
          : `“${wrong.trim()}” is not a number.`
      return undefined
    }
    if (i > 0 && known.value === standards[0]!.known) {
      problem.value = 'The two known values are the same. Use two different ones.'
      return undefined
    }
    standards.push({ known: known.value, shown: shown.value })
  }
  const found = withinLimits(() => checkAgainst(standards as [Standard, Standard]))
  problem.value = found
    ? undefined
    : 'Between these two values it is more than a fifth out, too much to correct. Read again, '
      + 'or clean or replace it.'
  return (
    found &&
    fact('instrument-checked', {
      instrumentId: props.instrument.id,
      offset: found.offset,
      slope: found.slope,
      adjusted: adjusted.value,
      standards
    })
  )
}

async function look() {
  const entry = draft()
  preview.value = entry && (await cellar.restate(entry))
}

async function log() {
  const entry = draft()
  if (!entry) return
  if (!(await cellar.log([entry]))) return
  logged(`${props.instrument.name} checked`)
  emit('done')
}

const lotName = (lotId: string) => cellar.lotOf(lotId)?.name ?? ''
const figure = (quantity: string, value: number) =>
  quantity === 'ph'
    ? value.toFixed(2)
    : quantity === 'ta' || quantity === 'abv' || quantity === 'brix'
      ? value.toFixed(1)
      : quantity === 'sg'
        ? value < 1.3
          ? value.toFixed(3)
          : value.toFixed(1)
        : value.toFixed(0)
const NAMES: Record<string, string> = { sg: 'gravity', ph: 'pH', ta: 'TA', freeSo2: 'free SO₂', abv: 'alcohol', temperature: 'temperature' }
const f = useFormat()
</script>

<template>
  <form novalidate class="sheet check" @submit.prevent="log">
    <p class="soft small">{{ f.degrees(words.how.charAt(0).toUpperCase() + words.how.slice(1)) }}.</p>
    <div v-for="(p, i) in points" :key="i" class="pair">
      <TextField
        v-model="p.known"
        :label="`Known value${i ? ', second' : ''}, ${words.unit}`"
        inputmode="decimal"
        @input="preview = undefined"
      />
      <TextField
        v-model="p.shown"
        :label="`It showed${i ? ', second' : ''}`"
        inputmode="decimal"
        :error="problem && i === points.length - 1 ? problem : undefined"
        @input="preview = undefined"
      />
    </div>
    <UButton v-if="points.length === 1" variant="link" @click="second">Add a second value</UButton>
    <UCheckbox v-model="adjusted" label="I have adjusted it now" />
    <div v-if="preview" class="preview" role="status">
      <p v-if="!preview.readings.length">No readings were made with it since its last check, so nothing changes.</p>
      <template v-else>
        <h3>{{ preview.readings.length }} {{ preview.readings.length === 1 ? 'reading changes' : 'readings change' }}</h3>
        <ul>
          <li v-for="r in preview.readings.slice(0, 12)" :key="r.entryId">
            {{ lotName(r.lotId) }}, {{ sayWhen(r.at, now) }}: {{ NAMES[r.quantity] ?? r.quantity }} {{ figure(r.quantity, r.was) }} is
            {{ figure(r.quantity, r.is) }}
          </li>
        </ul>
        <template v-if="preview.figures.length"
        ><h3>Current figures that change</h3>
          <ul>
            <li v-for="x in preview.figures" :key="x.lotId + x.quantity">
              {{ lotName(x.lotId) }}: {{ NAMES[x.quantity] }} {{ figure(x.quantity, x.was) }} becomes {{ figure(x.quantity, x.is) }}
            </li>
          </ul></template
        >
        <template v-if="preview.additions.length"
        ><h3>These additions were based on them</h3>
          <ul>
            <li v-for="a in preview.additions" :key="a.entryId">
              {{ lotName(a.lotId) }}, {{ sayWhen(a.at, now) }}: {{ Number(a.actual.toPrecision(3)) }} {{ a.unit }} of
              {{ materialName(a.material) }}, calculated from {{ NAMES[a.quantity] ?? a.quantity }} {{ figure(a.quantity, a.was) }}; it was
              {{ figure(a.quantity, a.is) }}
            </li>
          </ul></template
        >
      </template>
    </div>
    <div class="flex flex-wrap gap-3">
      <UButton type="button" variant="outline" size="lg" @click="look">Preview changes</UButton
      ><UButton type="submit" size="lg">Log check</UButton>
    </div>
  </form>
</template>

<style scoped>
.check {
  padding: 16px;
  display: grid;
  gap: 12px;
  margin-top: 10px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 16px;
}
.more {
  justify-self: start;
  min-height: 44px;
}
.preview {
  display: grid;
  gap: 6px;
  border-left: 3px solid var(--skin);
  padding-left: 14px;
}
</style>
