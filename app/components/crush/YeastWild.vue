<script setup lang="ts">
import { inoculation } from '~~/core/drafts'
import { type LotView, SMELLS, type Smell } from '~~/core/ledger'
import { judgeWild, wildStarter } from '~~/core/yeast'
import { SMELL } from '~/wording/smells'
import { WILD_VERDICT } from '~/wording/yeast-sources'
import { useFormat } from '~/composables/useFormat'
import { useQuantityField } from '~/composables/useQuantityField'
import { useStepLog } from '~/composables/useStepLog'
import { sgIn, useSugarField } from '~/composables/usualFields'
import { withinLimits } from '~/composables/withinLimits'

/** A starter of the fruit's own yeast: how much to pick ahead, and whether it may go in. */
const props = defineProps<{ lot: LotView }>()
const f = useFormat()
const { saving, write } = useStepLog(() => props.lot)
const plan = computed(() => wildStarter(Math.max(1, props.lot.volume.value)))
const [first, is] = [useSugarField('SG'), useSugarField('SG')]
first.text = props.lot.sg ? props.lot.sg.value.toFixed(3) : ''
const days = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0, max: 30, words: 'Between 0 and 30 days.' } })
const smells = ref<Smell[]>([])
const items = SMELLS.map((value) => ({ value, label: SMELL[value] }))
const verdict = computed(() => {
  const [originalSg, sg] = [sgIn(first), sgIn(is)]
  if (originalSg === undefined || sg === undefined || smells.value.length === 0) return undefined
  return withinLimits(() => judgeWild({ originalSg, sg, hours: (days.value ?? 0) * 24, smells: smells.value }))
})
async function pitched() {
  const draft = inoculation({ lotId: props.lot.id, organism: 'yeast', culture: 'Wild starter from the same fruit' })
  if (await write([draft], `The starter is in ${props.lot.name}`)) await navigateTo(`/lots/${props.lot.id}`)
}
</script>

<template>
  <div class="grid gap-4 max-w-(--measure)">
    <p>
      <b class="figure">{{ f.words(f.mass(plan.fruitKg)) }}</b> of the healthiest fruit, picked {{ plan.days.min }} to
      {{ plan.days.max }} days ahead and crushed without sulphite, {{ f.degrees('at 20 to 25 °C') }}:
      makes {{ f.words(f.volume(plan.starterL)) }} of starter. Two small starters kept apart are safer than one.
    </p>
    <div class="tries">
      <QuantityField label="Starter began at" :field="first" />
      <QuantityField label="Gravity now" :field="is" />
      <QuantityField label="Days since it was crushed" :field="days" unit-label="days" />
    </div>
    <TapMany v-model="smells" legend="Smell" :items="items" />
    <p v-if="verdict === 'ready'"><b>{{ WILD_VERDICT.ready.title }}.</b> {{ f.degrees(WILD_VERDICT.ready.text) }}</p>
    <FindingNote v-else-if="verdict" :tone="WILD_VERDICT[verdict].tone === 'stop' ? 'stop' : undefined">
      <b>{{ WILD_VERDICT[verdict].title }}.</b> {{ f.degrees(WILD_VERDICT[verdict].text) }}
    </FindingNote>
    <p v-else class="soft">Read its gravity and smell it first.</p>
    <div class="ways">
      <UButton size="xl" :loading="saving" :disabled="verdict !== 'ready'" @click="pitched">The starter is in the must</UButton>
      <UButton v-if="verdict && verdict !== 'ready'" variant="link" @click="pitched">I used it anyway</UButton>
    </div>
    <CautionNote code="carbonDioxide" />
  </div>
</template>
