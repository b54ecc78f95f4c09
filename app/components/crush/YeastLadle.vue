<script setup lang="ts">
import { daysBetween } from '~~/core/units'
import { ladle } from '~~/core/drafts'
import { type LotView, isFermenting } from '~~/core/ledger'
import { ladleReuse } from '~~/core/yeast'
import { sayBrought } from '~/wording/yeast-sources'

/** Must of a lot that is fermenting, poured into this one as its yeast: it is moved, and it brings its yeast. */
const props = defineProps<{ lot: LotView, potential?: number | undefined }>()
const cellar = useCellarStore()
const f = useFormat()
const now = useNow()
const { saving, write } = useStepLog(() => props.lot)
const SMELT_DAYS = 10
const RANK = { 'good': 0, 'with-care': 1, 'never': 2 } as const
const judged = computed(() =>
  cellar.lots
    .filter((l) => l.id !== props.lot.id && isFermenting(l) && l.volume.value > 0)
    .flatMap((from) => {
      const reuse = reuseOf(from)
      return reuse ? [{ from, reuse }] : []
    })
    .sort((a, b) => RANK[a.reuse.verdict] - RANK[b.reuse.verdict])
)
const chosen = ref('')
const taken = computed(() => judged.value.find((j) => j.from.id === chosen.value) ?? judged.value[0])
const source = computed(() => taken.value?.from)
const reuse = computed(() => taken.value?.reuse)
const from = computed({ get: () => source.value?.id ?? '', set: (id) => (chosen.value = id) })
const reuseOf = (s: LotView) =>
  withinLimits(() =>
    ladleReuse(
      {
        style: s.style,
        heldL: s.volume.value,
        bacteria: s.bacteriaAt !== undefined,
        ...(s.originalSg && { originalSg: s.originalSg.value }),
        ...(s.sg && { sg: s.sg.value }),
        ...(s.abv && { abv: s.abv.value }),
        ...(s.smelt && daysBetween(s.smelt.at, now.value) < SMELT_DAYS && { smelt: s.smelt.smells })
      },
      {
        mustL: Math.max(1, props.lot.volume.value),
        style: props.lot.style,
        malolacticWanted: !['none', 'blocked'].includes(props.lot.plan.malolactic),
        ...(props.potential !== undefined && { potentialAbv: props.potential })
      }
    )
  )
const poured = useVolumeField({ limits: { min: 0.01, max: 10_000, words: 'Enter how much you poured in.' } })
watch(
  () => Math.min(reuse.value?.litres.usual ?? 0, source.value?.volume.value ?? 0),
  (litres) => {
    if (litres > 0 && poured.untouched) poured.fill(String(Number(Number(f.typedVolume(litres)).toPrecision(2))))
  },
  { immediate: true }
)
const tooMuch = computed(() =>
  source.value && poured.value !== undefined && poured.value > source.value.volume.value
    ? `${source.value.name} holds only ${f.words(f.volume(source.value.volume.value))}.`
    : undefined
)
async function pitched() {
  const s = source.value
  poured.touch()
  if (!s || poured.value === undefined || tooMuch.value) return focusWrong()
  if (await write(ladle(s, props.lot, poured.value), `${s.name} is in ${props.lot.name}`)) await navigateTo(`/lots/${props.lot.id}`)
}
</script>

<template>
  <form novalidate class="grid gap-4 max-w-(--measure)" @submit.prevent="pitched">
    <p v-if="!source" class="soft">No other lot is fermenting now.</p>
    <template v-else>
      <SelectField v-model="from" label="Must of" :items="judged.map((j) => ({ value: j.from.id, label: j.from.name }))" />
      <template v-if="reuse">
        <p v-if="reuse.verdict === 'never'"><b>Do not use this one.</b></p>
        <p v-else>
          Usually <b class="figure">{{ f.words(f.volume(reuse.litres.usual)) }}</b>
          ({{ f.volumes(reuse.litres.min, reuse.litres.max) }}), from the middle of the vessel, stirred in within
          {{ f.degrees('6 °C') }} of each other.
        </p>
        <FindingNote v-for="x in reuse.findings" :key="x.code" :tone="x.weight === 'never' ? 'stop' : undefined">
          {{ f.degrees(sayBrought(x)) }}
        </FindingNote>
        <QuantityField label="Poured in" :field="poured" :error="tooMuch" />
        <div class="ways">
          <UButton type="submit" size="xl" :loading="saving" :disabled="reuse.verdict === 'never'">It is in the must</UButton>
          <UButton v-if="reuse.verdict === 'never'" variant="link" @click="pitched">I used it anyway</UButton>
        </div>
      </template>
    </template>
    <CautionNote code="carbonDioxide" />
  </form>
</template>
