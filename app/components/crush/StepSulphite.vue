<script setup lang="ts">
import { FIRST_SULPHITE_SOURCE, SALT_SOURCE, firstSulphiteWorking } from '~/wording/workings'
import type { LotView } from '~~/core/ledger'
import { firstDoseOf } from '~~/core/stages'
import type { FruitHealth } from '~~/core/sulphite'
import { HEALTH_CHOICES } from '~/wording/crush'
import { materialName } from '~/wording/materials'
import { useFormat } from '~/composables/useFormat'
import { useStepLog } from '~/composables/useStepLog'
import { withinLimits } from '~/composables/withinLimits'
import { useSettingsStore } from '~/stores/settings'

const props = defineProps<{ lot: LotView }>()
const settings = useSettingsStore()
const f = useFormat()
const { saving, write, addition } = useStepLog(() => props.lot)
const health = ref<FruitHealth>('sound')
const at = ref<string>()
const dose = computed(() => withinLimits(() => firstDoseOf(props.lot, health.value, settings.values.salt)))
const log = (actual: number, byStock: boolean) =>
  write(
    [addition(settings.values.salt, dose.value!.grams, actual, byStock, { purpose: 'first sulphite', at: at.value })],
    `First sulphite logged for ${props.lot.name}`
  )
</script>

<template>
  <div v-if="dose" class="grid gap-4">
    <WentIn
      :label="`Weigh ${materialName(settings.values.salt)}, dissolve in a little water`"
      :material="settings.values.salt"
      :grams="dose.grams"
      :saving="saving"
      @log="log"
    />
    <ChoiceTiles v-if="lot.stream === 'fresh' || lot.stream === 'test'" v-model="health" legend="The fruit is" :items="HEALTH_CHOICES" />
    <WhenField v-model="at" />
    <WorkingNote
      :steps="firstSulphiteWorking(lot, dose, health, settings.values.salt, f.words(f.powder(dose.grams)))"
      :source="`${FIRST_SULPHITE_SOURCE}. ${SALT_SOURCE}`"
    />
    <CautionNote code="sulphite" />
  </div>
</template>
