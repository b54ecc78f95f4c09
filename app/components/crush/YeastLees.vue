<script setup lang="ts">
import { daysBetween } from '~~/core/units'
import { inoculation } from '~~/core/drafts'
import { type LotState, type LotView, drynessOf, isFermenting, isMust } from '~~/core/ledger'
import { leesReuse } from '~~/core/yeast'
import { sayBrought } from '~/wording/yeast-sources'

/** The yeast of a wine that has just finished, used again: what speaks against it, how much, and what comes along. */
const props = defineProps<{ lot: LotView, potential?: number | undefined }>()
const cellar = useCellarStore()
const f = useFormat()
const now = useNow()
const { saving, write } = useStepLog(() => props.lot)
const SMELT_DAYS = 10
/** The lot that was dry last comes first. */
const sources = computed(() =>
  cellar.lots
    .filter((l) => l.id !== props.lot.id && !isMust(l) && l.inoculatedAt !== undefined)
    .sort((a, b) => (drynessOf(b)?.first ?? '').localeCompare(drynessOf(a)?.first ?? ''))
)
const from = ref('')
watch(
  sources,
  (are) => {
    if (!are.some((l) => l.id === from.value)) from.value = are[0]?.id ?? ''
  },
  { immediate: true }
)
const source = computed(() => sources.value.find((l) => l.id === from.value))
/** One that was read dry once and then left alone is dry for this question: its lees are old. */
const endedAs = (lot: LotState, dry: boolean) =>
  lot.alcoholic === 'stuck' || (lot.alcoholic === 'stopped' && !dry) ? 'stuck' : isFermenting(lot) ? 'fermenting' : 'dry'
const daysSince = (at: string) => daysBetween(at, now.value)
const reuse = computed(() => {
  const s = source.value
  if (!s) return undefined
  const dry = drynessOf(s)
  return withinLimits(() =>
    leesReuse(
      {
        ended: endedAs(s, dry !== undefined),
        style: s.style,
        bacteria: s.bacteriaAt !== undefined,
        ...(s.abv && { abv: s.abv.value }),
        ...(dry && { daysDry: daysSince(dry.first) }),
        ...(s.freeSo2 && { freeSo2MgPerL: s.freeSo2.value }),
        ...(s.smelt && daysSince(s.smelt.at) < SMELT_DAYS && { smelt: s.smelt.smells })
      },
      {
        mustL: Math.max(1, props.lot.volume.value),
        style: props.lot.style,
        malolacticWanted: !['none', 'blocked'].includes(props.lot.plan.malolactic),
        ...(props.potential !== undefined && { potentialAbv: props.potential })
      }
    )
  )
})
async function pitched() {
  const s = source.value
  if (!s) return
  const draft = {
    ...inoculation({ lotId: props.lot.id, organism: 'yeast' as const, culture: `Lees of ${s.name}`.slice(0, 80) }),
    leesOf: s.id
  }
  if (await write([draft], `The lees are in ${props.lot.name}`)) await navigateTo(`/lots/${props.lot.id}`)
}
</script>

<template>
  <div class="grid gap-4 max-w-(--measure)">
    <p v-if="!sources.length" class="soft">No other lot has fermented yet.</p>
    <template v-else>
      <SelectField v-model="from" label="Lees of" :items="sources.map((l) => ({ value: l.id, label: l.name }))" />
      <template v-if="reuse">
        <p v-if="reuse.verdict === 'never'"><b>Do not use these.</b></p>
        <p v-else>
          <b class="figure">{{ f.words(f.volume(reuse.litres.min)) }} to {{ f.words(f.volume(reuse.litres.max)) }}</b> of the thick lees,
          the day it is racked, stirred into the must within {{ f.degrees('6 °C') }} of each other. They bring about
          {{ f.words(f.percentAlcohol(reuse.bringsAbv)) }} along.
        </p>
        <FindingNote v-for="x in reuse.findings" :key="x.code" :tone="x.weight === 'never' ? 'stop' : undefined">
          {{ f.degrees(sayBrought(x)) }}
        </FindingNote>
        <div class="ways">
          <UButton size="xl" :loading="saving" :disabled="reuse.verdict === 'never'" @click="pitched">The lees are in the must</UButton>
          <UButton v-if="reuse.verdict === 'never'" variant="link" @click="pitched">I used them anyway</UButton>
        </div>
      </template>
    </template>
    <CautionNote code="carbonDioxide" />
  </div>
</template>
