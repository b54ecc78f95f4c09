<script setup lang="ts">
import { firstSulphiteWorking } from '~/wording/workings'
import type { LotView } from '~~/core/ledger'
import { type FruitHealth, firstDose } from '~~/core/sulphite'
import { HEALTH } from '~/wording/crush'
import { materialName } from '~/wording/materials'

const props = defineProps<{ lot: LotView }>()
const settings = useSettingsStore()
const f = useFormat()
const { saving, write, addition } = useStepLog(() => props.lot)
const health = ref<FruitHealth>('sound')
const at = ref<string>()
const ph = computed(() => (props.lot.ph && props.lot.ph.value >= 2.5 && props.lot.ph.value <= 4.5 ? props.lot.ph.value : undefined))
const dose = computed(() =>
  withinLimits(() => firstDose(props.lot.volume.value, health.value, props.lot.style, settings.values.salt, ph.value,
    props.lot.malolactic === 'to-come'))
)
const log = (actual: number, byStock: boolean) =>
  write(
    [addition(settings.values.salt, dose.value!.grams, actual, byStock, { purpose: 'first sulphite', at: at.value })],
    `First sulphite logged for ${props.lot.name}`
  )
const HEALTHS = (Object.keys(HEALTH) as FruitHealth[]).map((value) => ({ value, label: HEALTH[value].name, hint: HEALTH[value].hint }))
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
    <ChoiceTiles v-if="lot.stream === 'fresh' || lot.stream === 'test'" v-model="health" legend="The fruit is" :items="HEALTHS" />
    <WhenField v-model="at" />
    <WorkingNote
      :steps="firstSulphiteWorking(lot, dose, health, settings.values.salt, f.words(f.powder(dose.grams)))"
      source="30 to 60 mg/L at the crusher by the health of the fruit: common practice. SO₂ in the salt by stoichiometry"
    />
    <CautionNote code="sulphite" />
  </div>
</template>
