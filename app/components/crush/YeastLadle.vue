<script setup lang="ts">
import { ladle } from '~~/core/drafts'
import type { LotView } from '~~/core/ledger'
import { ladlesFor } from '~~/core/stages'
import { sayBrought } from '~/wording/yeast-sources'
import { focusWrong } from '~/composables/focusWrong'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { useStepLog } from '~/composables/useStepLog'
import { proposeVolume, useVolumeField } from '~/composables/usualFields'
import { useCellarStore } from '~/stores/cellar'

/** Must of a lot that is fermenting, poured into this one as its yeast: it is moved, and it brings its yeast. */
const props = defineProps<{ lot: LotView, potential?: number | undefined }>()
const cellar = useCellarStore()
const f = useFormat()
const now = useNow()
const { saving, write } = useStepLog(() => props.lot)
const sources = computed(() => ladlesFor(props.lot, cellar.lots, now.value, props.potential))
const chosen = ref('')
const source = computed(() => sources.value.find((s) => s.from.id === chosen.value) ?? sources.value[0])
const reuse = computed(() => source.value?.reuse)
const heldL = computed(() => source.value?.from.volume.value ?? 0)
const from = computed({ get: () => source.value?.from.id ?? '', set: (id) => (chosen.value = id) })

const poured = useVolumeField({ limits: { min: 0.01, max: 10_000, words: 'Enter how much you poured in.' } })
watch(
  () => Math.min(reuse.value?.litres.usual ?? 0, heldL.value),
  (litres) => {
    if (litres > 0) proposeVolume(f, poured, litres, 2)
  },
  { immediate: true }
)
const tooMuch = computed(() =>
  source.value && poured.value !== undefined && poured.value > heldL.value
    ? `${source.value.from.name} holds only ${f.words(f.volume(heldL.value))}.`
    : undefined
)
async function pitched() {
  poured.touch()
  if (!source.value || poured.value === undefined || tooMuch.value) return focusWrong()
  const { from: other } = source.value
  const written = await write(ladle(other, props.lot, poured.value), `${other.name} is in ${props.lot.name}`)
  if (written) await navigateTo(`/lots/${props.lot.id}`)
}
</script>

<template>
  <form novalidate class="grid gap-4 max-w-(--measure)" @submit.prevent="pitched">
    <p v-if="!source" class="soft">No other lot is fermenting now.</p>
    <template v-else>
      <SelectField v-model="from" label="Must of" :items="sources.map((s) => ({ value: s.from.id, label: s.from.name }))" />
      <template v-if="reuse">
        <p v-if="reuse.verdict === 'never'"><b>Do not use this one.</b></p>
        <p v-else>
          Usually <b class="figure">{{ f.words(f.volume(reuse.litres.usual)) }}</b>
          ({{ f.volumes(reuse.litres.min, reuse.litres.max) }}). Take it from the middle of the vessel and stir it in while the two are
          {{ f.degrees('within 6 °C') }} of each other.
        </p>
        <FindingNote v-for="x in reuse.findings" :key="x.code" :tone="x.weight === 'never' ? 'stop' : undefined">
          {{ f.degrees(sayBrought(x)) }}
        </FindingNote>
        <QuantityField label="Poured in" :field="poured" :error="tooMuch" />
        <div class="ways">
          <UButton type="submit" size="xl" :loading="saving" :disabled="reuse.verdict === 'never'">Log it</UButton>
          <UButton v-if="reuse.verdict === 'never'" variant="link" @click="pitched">I used it anyway</UButton>
        </div>
      </template>
    </template>
    <CautionNote code="carbonDioxide" />
  </form>
</template>
