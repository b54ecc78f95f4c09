<script setup lang="ts">
import { enzymeFor } from '~~/core/stages'
import type { LotView } from '~~/core/ledger'
import { ENZYME_G_PER_L } from '~~/core/must'
import { sayEnzymeFinding } from '~/wording/crush'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { useStepLog } from '~/composables/useStepLog'

const props = defineProps<{ lot: LotView }>()
const now = useNow()
const f = useFormat()
const { saving, write, addition } = useStepLog(() => props.lot)
const advice = computed(() => enzymeFor(props.lot, now.value))
/** Cold only slows it; the others waste it. */
const against = computed(() => advice.value.findings.some((x) => x.code !== 'too-cold'))
const log = (actual: number, byStock: boolean) =>
  write([addition('pectic-enzyme', advice.value.grams, actual, byStock)], `Enzyme logged for ${props.lot.name}`)
</script>

<template>
  <div class="grid gap-4">
    <FindingNote v-for="x in advice.findings" :key="x.code" :tone="x.code === 'too-cold' ? 'ask' : 'stop'">{{
      f.degrees(sayEnzymeFinding(x))
    }}</FindingNote>
    <WentIn
      label="Powder, in a little cool water; follow the packet"
      material="pectic-enzyme"
      :grams="advice.grams"
      :saving="saving"
      :disabled="against"
      @log="log"
    />
    <WorkingNote
      :steps="[
        {
          what: 'Enzyme',
          formula: `${ENZYME_G_PER_L} g/L × ${Number(lot.volume.value.toPrecision(4))} L`,
          result: f.words(f.powder(advice.grams)),
        },
      ]"
      source="2 to 4 g for 100 L: common practice; strengths differ, so the packet comes first"
    />
  </div>
</template>
