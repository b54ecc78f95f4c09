<script setup lang="ts">
import { isHeld } from '~~/core/ledger'
import { useInstrumentReading } from '~/composables/useInstrumentReading'
import type { Sample } from '~/workers/practice.worker'
import { TOOLS, type Tool, howToRead } from '~/wording/drawn-instruments'
import { useCellarStore } from '~/stores/cellar'
import { usePracticeStore } from '~/stores/practice'

/** The instruments of a practice cellar, held in one of its wines. The person reads them; or the cellar hand does. */
const cellar = useCellarStore()
const practice = usePracticeStore()
const route = useRoute()
const router = useRouter()
const lots = computed(() => cellar.lots.filter((l) => isHeld(l)))
const lot = computed(() => lots.value.find((l) => l.id === route.query.lot) ?? lots.value[0])
const go = (query: Record<string, string>) => void router.replace({ query: { ...route.query, ...query } })
const lotId = computed({ get: () => lot.value?.id ?? '', set: (id) => go({ lot: id }) })
const tool = computed<Tool>({
  get: () => (Object.hasOwn(TOOLS, String(route.query.with)) ? (route.query.with as Tool) : 'hydrometer'),
  set: (key) => go({ with: key })
})
const wines = computed(() => lots.value.map((l) => ({ value: l.id, label: l.name })))
const tools = Object.entries(TOOLS).map(([value, label]) => ({ value: value as Tool, label }))

const sample = shallowRef<Sample>()
const used = ref(0)
const held = useInstrumentReading(() => lot.value, () => sample.value)
const { fields, problem, empty, logTyped, logDrops, logSenses, logPaper, logByHand } = held
watch([() => lot.value?.id, tool, () => practice.season?.at], async () => {
  empty()
  used.value = 0
  sample.value = lot.value && (await practice.sample(lot.value.id))
}, { immediate: true })
const typing = computed(() => (tool.value in fields ? (tool.value as keyof typeof fields) : undefined))
const LABEL = { hydrometer: 'Gravity', refractometer: 'Sugar', thermometer: 'Temperature', meter: 'pH' } as const
const UNIT_LABEL = { hydrometer: '', refractometer: '°Brix', thermometer: '', meter: 'pH' } as const
useHead({ title: 'Instruments · Presk' })
</script>

<template>
  <div class="read">
    <h1>Instruments</h1>
    <p v-if="!cellar.isPractice">
      Instruments can be held in the wines of a practice cellar. <NuxtLink to="/practice" class="textlink">Start one</NuxtLink>
    </p>
    <p v-else-if="!lot">There is no wine to measure.</p>
    <template v-else>
      <OneOfRow v-if="lots.length > 1" v-model="lotId" label="Wine" :items="wines" />
      <OneOfRow v-model="tool" label="Instrument" :items="tools" />
      <p v-if="sample" class="soft max-w-[62ch]">{{ howToRead(tool, sample.colour) }}</p>
      <div v-if="sample" class="beside">
        <div :key="`${lot.id} ${tool} ${sample.seed}`">
          <InstrumentHeld v-model:used="used" :tool="tool" :sample="sample" :name="lot.name" />
        </div>
        <div class="grid gap-4 content-start">
          <form v-if="typing" novalidate class="grid gap-3" @submit.prevent="logTyped(typing)">
            <QuantityField
              :label="LABEL[typing]" :field="fields[typing]" :unit-label="UNIT_LABEL[typing]" :error="problem || undefined"
            />
            <UButton type="submit" size="xl" class="justify-self-start">Log what I read</UButton>
          </form>
          <UButton
            v-else-if="tool === 'titration' || tool === 'iodine'"
            size="xl"
            :disabled="used === 0"
            class="justify-self-start"
            @click="logDrops(tool, used)"
          >Stop here: log {{ used.toFixed(2) }} mL</UButton>
          <div v-else-if="tool === 'paper'" class="grid gap-2 justify-items-start">
            <p>The malic spot in the wine’s lane is:</p>
            <UButton variant="outline" @click="logPaper('clear')">As strong as the standard</UButton>
            <UButton variant="outline" @click="logPaper('faint')">Fainter than the standard</UButton>
            <UButton variant="outline" @click="logPaper('none')">Gone</UButton>
          </div>
          <UButton v-else size="xl" class="justify-self-start" @click="logSenses">Log all four</UButton>
          <p v-if="problem && !typing" role="alert" class="text-(--alarm)">{{ problem }}</p>
          <div class="rule pt-4">
            <p class="soft small mb-2">Only here for the season?</p>
            <UButton variant="outline" color="neutral" @click="logByHand">Let the cellar hand read everything</UButton>
          </div>
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.read { display: grid; gap: 16px; }
.beside { grid-template-columns: minmax(0, 560px) minmax(280px, 360px); }
@media (max-width: 900px) { .beside { grid-template-columns: minmax(0, 1fr); } }
</style>
