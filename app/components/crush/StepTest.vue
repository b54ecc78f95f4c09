<script setup lang="ts">
import { DAY_MS } from '~~/core/units'
import type { LotView } from '~~/core/ledger'
import { testFerment } from '~~/core/must'
import { SO2_SHARE } from '~~/core/sulphite'
import { DRY_SG } from '~~/core/ledger'
import { sayWhen } from '~/wording/days'
import { materialName } from '~/wording/materials'
import { TEST_STEP, TEST_VERDICT, type TestVerdict } from '~/wording/test-ferment'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { useStepLog } from '~/composables/useStepLog'
import { useWeighing } from '~/composables/useWeighing'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

/** The week of a test ferment, each day with its date and what goes in. */
const props = defineProps<{ lot: LotView }>()
const cellar = useCellarStore()
const settings = useSettingsStore()
const now = useNow()
const { weigh } = useWeighing()
const { saving, write, addition } = useStepLog(() => props.lot)
const plan = computed(() => testFerment(Math.min(25, Math.max(1, props.lot.massKg ?? 5)), settings.values.salt))
const days = computed(() =>
  plan.value.days.map((d) => {
    const at = new Date(Date.parse(props.lot.startedAt) + d.day * DAY_MS).toISOString()
    const task = `test:${d.step}`
    return { ...d, at, ended: props.lot.endedTasks.get(task), task, due: at <= now.value }
  })
)
const next = computed(() => days.value.find((d) => !d.ended))
const amountOf = (material: string, grams: number) => {
  const w = weigh(material, grams)
  return w.stockMl !== undefined
    ? `${w.stockMl.toFixed(1)} mL of stock solution (${w.shown.text} ${w.shown.unit})`
    : `${w.shown.text} ${w.shown.unit}${w.spoons ? `, about ${w.spoons.words}` : ''}`
}
function done(day: (typeof days.value)[number]) {
  const drafts = day.additions.map((a) =>
    a.material === 'yeast'
      ? {
          type: 'inoculation' as const,
          lotId: props.lot.id,
          organism: 'yeast' as const,
          culture: 'Yeast for the test',
          grams: Number(a.grams.toPrecision(3))
        }
      : addition(
          a.material,
          a.grams,
          weigh(a.material, a.grams).stockMl ?? Number(a.grams.toPrecision(3)),
          weigh(a.material, a.grams).stockMl !== undefined,
          { purpose: 'test ferment' }
        )
  )
  return write(
    [...drafts, { type: 'task-ended', lotId: props.lot.id, task: day.task, outcome: 'done' }],
    `${TEST_STEP[day.step].title}: done`
  )
}
const verdict = ref<TestVerdict | ''>('')
const tasted = ref('')
const asked = ref(false)
const verdicts = Object.entries(TEST_VERDICT).map(([value, words]) => ({ value: value as TestVerdict, ...words }))
/** The verdict is logged in words; “cannot say” leaves the test open for another day. */
function judged(day: (typeof days.value)[number]) {
  asked.value = true
  if (!verdict.value) return undefined
  const notes = tasted.value.trim()
  const said = `Verdict of the test: ${TEST_VERDICT[verdict.value].label.toLowerCase()}${notes && `. ${notes}`}`
  const over = { type: 'task-ended', lotId: props.lot.id, task: day.task, outcome: 'done' } as const
  return write(
    [{ type: 'observation', lotId: props.lot.id, what: 'taste', text: said }, ...(verdict.value === 'unsure' ? [] : [over])],
    verdict.value === 'unsure' ? 'Noted; taste it again tomorrow' : `Test result: ${TEST_VERDICT[verdict.value].label.toLowerCase()}`
  )
}
const told = computed(() =>
  cellar.facts.flatMap(({ fact, struck }) =>
    !struck && fact.type === 'observation' && fact.lotId === props.lot.id && fact.text.startsWith('Verdict of the test') ? [fact.text] : []
  )[0]
)
const dry = computed(() => props.lot.sg !== undefined && props.lot.sg.value <= DRY_SG)
const f = useFormat()
</script>

<template>
  <div>
    <ol class="week">
      <li v-for="d in days" :key="d.day" :class="{ now: d === next, ended: d.ended }">
        <span class="day"
        ><b class="figure">{{ d.day }}</b
        ><span class="soft small">{{ sayWhen(d.at, now) }}</span></span
        >
        <div class="what">
          <h3>{{ TEST_STEP[d.step].title }}</h3>
          <p v-if="!d.ended" class="soft">{{ f.degrees(TEST_STEP[d.step].how) }}</p>
          <ul v-if="d.additions.length">
            <li v-for="a in d.additions" :key="a.material">
              <b>{{ amountOf(a.material, a.grams) }}</b> of {{ materialName(a.material) }}
            </li>
          </ul>
          <template v-if="d === next">
            <FindingNote v-if="d.step === 'judge' && !dry"
            >Not dry yet{{ lot.sg ? ` (${lot.sg.value.toFixed(3)})` : '' }}: judge it at {{ DRY_SG }} or below, because sugar hides
              faults.</FindingNote
            >
            <template v-if="d.step === 'judge'">
              <ChoiceTiles v-model="verdict" legend="Your verdict" :items="verdicts" :least="200" />
              <p v-if="asked && !verdict" role="alert" class="message">Choose a verdict, or say that you cannot tell yet.</p>
              <TextField v-model="tasted" label="What you smelt and tasted" />
            </template>
            <p class="acts">
              <UButton v-if="d.step === 'judge'" size="lg" :loading="saving" @click="judged(d)">Log verdict</UButton>
              <UButton v-else size="lg" :loading="saving" @click="done(d)">{{ d.additions.length ? 'In, as planned' : 'Done' }}</UButton
              ><UButton :to="`/bench/measure?lot=${lot.id}&back=crush`" size="lg" variant="outline">Measure</UButton
              ><UButton v-if="d.step === 'judge' || d.step === 'watch'" :to="`/lots/${lot.id}`" size="lg" variant="outline"
              >Note smell and taste</UButton
              >
            </p>
            <CautionNote v-if="d.step === 'crush-and-sulphite'" code="sulphite" />
            <CautionNote v-if="d.step === 'pitch'" code="carbonDioxide" />
          </template>
          <p v-if="d.step === 'judge' && told"><b>{{ told }}</b></p>
          <p v-if="d.ended" class="soft small">done {{ sayWhen(d.ended.at, now) }}</p>
        </div>
      </li>
    </ol>
    <WorkingNote
      :steps="[
        { what: 'Juice', formula: `${lot.massKg ?? 5} kg × 0.65 L/kg`, result: `${plan.juiceL.toFixed(2)} L` },
        {
          what: 'Bucket',
          formula: `${lot.massKg ?? 5} kg × 0.85 L/kg of must ÷ 0.7, a third free`,
          result: `${plan.bucketL.toFixed(1)} L`,
        },
        {
          what: 'Sulphite',
          formula: `30 mg/L × ${plan.juiceL.toFixed(2)} L ÷ 1000 ÷ ${SO2_SHARE[settings.values.salt].toFixed(3)}`,
          result: `${plan.days[0]!.additions[0]!.grams.toFixed(2)} g`,
        },
        {
          what: 'Yeast and nutrient',
          formula: `0.3 g/L × ${plan.juiceL.toFixed(2)} L, each`,
          result: `${plan.days[1]!.additions[0]!.grams.toFixed(2)} g`,
        },
      ]"
      source="common practice, no source; full rates, so that the trial does not stop for want"
    />
  </div>
</template>

<style scoped>
.week > li {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  gap: 16px;
  border-top: 1.5px solid var(--line);
  padding: 14px 0;
}
.day {
  display: grid;
  align-content: start;
}
.day .figure {
  font-size: 2rem;
  line-height: 1;
}
.ended {
  opacity: 0.75;
}
.now .day .figure {
  color: var(--skin);
}
.what {
  display: grid;
  gap: 6px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 6px;
}
</style>
