<script setup lang="ts">
import type { LotState } from '~~/core/ledger'
import { FIRST_SO2, type FruitHealth, SO2_SHARE, firstDose } from '~~/core/sulphite'
import { HEALTH } from '~/wording/crush'

const props = defineProps<{ lot: LotState }>()
const settings = useSettingsStore()
const f = useFormat()
const { saving, write, addition } = useStepLog(() => props.lot)
const health = ref<FruitHealth>('sound')
const at = ref<string>()
const ph = computed(() => props.lot.ph && props.lot.ph.value >= 2.5 && props.lot.ph.value <= 4.5 ? props.lot.ph.value : undefined)
const dose = computed(() => firstDose(props.lot.volume.value, health.value, props.lot.style, settings.values.salt, ph.value))
const log = (actual: number, byStock: boolean) => write([addition(settings.values.salt, dose.value.grams, actual, byStock, { purpose: 'first sulphite', at: at.value })], `First sulphite logged for ${props.lot.name}`)
</script>

<template>
  <div class="grid gap-4">
    <WentIn label="Weigh, dissolve in a little water" :material="settings.values.salt" :grams="dose.grams" :saving="saving" @log="log" />
    <fieldset v-if="lot.stream === 'fresh' || lot.stream === 'test'">
      <legend>The fruit is</legend>
      <div class="tiles">
        <label v-for="(words, key) in HEALTH" :key="key" class="choice"><input v-model="health" type="radio" name="health" :value="key"><span><b>{{ words.name }}</b><small>{{ words.hint }}</small></span></label>
      </div>
    </fieldset>
    <WhenField v-model="at" />
    <WorkingNote
      :steps="[{ what: 'Level', formula: `${FIRST_SO2[health]} mg/L for ${HEALTH[health].name.toLowerCase()} fruit${dose.reasons.includes('high-ph') ? `, 10 more at pH ${ph!.toFixed(2)}` : ''}${dose.reasons.includes('ph-unknown') ? '; the pH is not known yet' : ''}`, result: `${dose.mgPerL} mg/L` },
               { what: 'Salt', formula: `${dose.mgPerL} mg/L × ${Number(lot.volume.value.toPrecision(4))} L ${lot.volume.origin === 'estimated' ? 'of expected juice ' : ''}÷ 1000 ÷ ${SO2_SHARE[settings.values.salt].toFixed(3)}`, result: f.words(f.powder(dose.grams)) }]"
      source="30 to 60 mg/L at the crusher by the health of the fruit: common practice. SO₂ in the salt by stoichiometry"
    />
    <CautionNote code="sulphite" />
  </div>
</template>
