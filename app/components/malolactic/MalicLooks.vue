<script setup lang="ts">
import { counted } from '~/wording/count'
import type { useMalolactic } from '~/composables/useMalolactic'

/** Ways to look at how far it is, the strongest first. */
const props = defineProps<{ bench: ReturnType<typeof useMalolactic> }>()
const { malic, malicVerdict, logMalic, spots, paperVerdict, logPaper, bubbles, waited, over, saving } = props.bench
const TABS = [
  { label: 'A number', value: 'number', slot: 'number' as const },
  { label: 'Paper', value: 'paper', slot: 'paper' as const },
  { label: 'Bubbles', value: 'bubbles', slot: 'bubbles' as const },
  { label: 'By waiting', value: 'waiting', slot: 'waiting' as const }
]
const BUBBLES = ['Tiny ones, steady, against a torch', 'A few tiny ones', 'None to be seen against a torch'] as const
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
        <p v-else class="soft">Hold the dry paper beside the drawing and say how strong each spot of this wine is.</p>
        <div><UButton size="xl" :disabled="!paperVerdict" :loading="saving" @click="logPaper">Log the paper</UButton></div>
        <p class="soft small">
          Paper sees no malic acid under about 0.1 to 0.2 g/L (common practice, no source). Its solvent burns and bites: gloves, outdoors or
          by an open window, no flame.
        </p>
      </div>
    </template>
    <template #bubbles>
      <div class="grid gap-3 pt-3">
        <p class="soft">Weak evidence: gas that was dissolved comes out with warmth as well, and none is no proof of the end.</p>
        <div class="ways">
          <UButton v-for="b in BUBBLES" :key="b" size="lg" variant="outline" :loading="saving" @click="bubbles(b)">{{ b }}</UButton>
        </div>
      </div>
    </template>
    <template #waiting>
      <div class="grid gap-3 pt-3">
        <p class="soft">
          A school without a test waits a month after the last sign. What it gives up: nobody knows what is left, and a bottle may tell.
        </p>
        <p v-if="waited">
          Last sign {{ counted(Math.floor(waited.days), 'day') }} ago{{
            waited.enough ? '.' : `: ${Math.ceil(waited.wants - waited.days)} more to go.`
          }}
        </p>
        <div>
          <UButton size="xl" :disabled="!waited?.enough" :loading="saving" @click="over">Hold it to be over</UButton>
        </div>
      </div>
    </template>
  </UTabs>
</template>
