<script setup lang="ts">
import { counted } from '~/wording/count'
import type { useMalolactic } from '~/composables/useMalolactic'
import { focusWrong } from '~/composables/focusWrong'

/** Ways to look at how far it is, the strongest first. */
const props = defineProps<{ bench: ReturnType<typeof useMalolactic> }>()
const { malic, malicVerdict, logMalic, spots, paperVerdict, logPaper, bubbles, waited, over, saving } = props.bench
const TABS = [
  { label: 'A number', value: 'number', slot: 'number' as const },
  { label: 'Paper', value: 'paper', slot: 'paper' as const },
  { label: 'Bubbles', value: 'bubbles', slot: 'bubbles' as const },
  { label: 'Wait', value: 'waiting', slot: 'waiting' as const }
]
const BUBBLES = ['Steady tiny bubbles, seen against a torch', 'A few tiny bubbles', 'No bubbles against a torch'] as const
async function read() {
  if (!(await logMalic())) await focusWrong()
}
</script>

<template>
  <UTabs :items="TABS" default-value="number" variant="link" :ui="{ list: 'overflow-x-auto' }">
    <template #number>
      <form class="grid gap-3 pt-3" novalidate @submit.prevent="read">
        <div class="fieldline">
          <QuantityField label="Malic acid" :field="malic" unit-label="g/L" hint="enzymatic test or strip" />
          <UButton type="submit" size="xl" :loading="saving">Log it</UButton>
        </div>
        <p v-if="malicVerdict"><b>{{ malicVerdict.title }}.</b> {{ malicVerdict.text }}</p>
      </form>
    </template>
    <template #paper>
      <div class="grid gap-4 pt-3">
        <MalicPaper v-model:malic="spots.malic" v-model:lactic="spots.lactic" />
        <p v-if="paperVerdict"><b>{{ paperVerdict.title }}.</b> {{ paperVerdict.text }}</p>
        <p v-else class="soft">Compare the dry paper with the drawing, and choose how strong each spot is.</p>
        <div><UButton size="xl" :disabled="!paperVerdict" :loading="saving" @click="logPaper">Log paper</UButton></div>
        <p class="soft small">
          Paper does not show malic acid below about 0.1 to 0.2 g/L (common practice, no source). The solvent is flammable and corrosive:
          wear gloves, work outdoors or by an open window, no flame.
        </p>
      </div>
    </template>
    <template #bubbles>
      <div class="grid gap-3 pt-3">
        <p class="soft">Bubbles are weak evidence: warmth releases gas too, and no bubbles do not prove the end.</p>
        <div class="ways">
          <UButton v-for="b in BUBBLES" :key="b" size="lg" variant="outline" :loading="saving" @click="bubbles(b)">{{ b }}</UButton>
        </div>
      </div>
    </template>
    <template #waiting>
      <div class="grid gap-3 pt-3">
        <p class="soft">
          Without a test, wait a month after the last sign. You then do not know how much malic acid is left, and a bottle may turn gassy.
        </p>
        <p v-if="waited">
          Last sign {{ counted(Math.floor(waited.days), 'day') }} ago{{
            waited.enough ? '.' : `: ${Math.ceil(waited.wants - waited.days)} more to go.`
          }}
        </p>
        <div>
          <UButton size="xl" :disabled="!waited?.enough" :loading="saving" @click="over">Take it as finished</UButton>
        </div>
      </div>
    </template>
  </UTabs>
</template>
