<script setup lang="ts">
import { likely } from '~~/core/advice'
import type { Fact } from '~~/core/ledger'
import { readNumber } from '~~/core/units'
import { sayLedgerProblem, sayLikelihood } from '~/wording/problems'

const props = defineProps<{ fact: Fact }>()
const emit = defineEmits<{ done: [] }>()

const cellar = useCellarStore()
const toast = useToast()
const at = ref<string | undefined>(props.fact.at)
const value = ref(startValue())
const reason = ref('')
const problem = ref<string>()
const id = useId()

/** What can be put right in an entry of this kind, besides its time. */
const label = computed(() => {
  switch (props.fact.type) {
    case 'reading': return 'It read'
    case 'addition': return `What went in, ${props.fact.unit}`
    case 'observation': return 'In a few words'
    case 'inoculation': return 'Culture'
    case 'transfer': return 'Left the vessel, L'
    case 'lot-started': return props.fact.massKg ? 'Fruit, kg' : 'Volume, L'
    case 'operation': return 'Note'
    default: return undefined
  }
})

function startValue(): string {
  const { fact } = props
  switch (fact.type) {
    case 'reading': return fact.titration ? String(fact.titration.titrantMl) : String(fact.value)
    case 'addition': return String(fact.actual)
    case 'observation': return fact.text
    case 'inoculation': return fact.culture
    case 'transfer': return String(fact.outL)
    case 'lot-started': return String(fact.massKg ?? fact.volumeL)
    case 'operation': return fact.note ?? ''
    default: return ''
  }
}

/** The entry as it should have been, or what is wrong with what was typed. */
function replacement(): Fact | string {
  const { fact } = props
  const words = value.value.trim()
  const when = { at: at.value ?? fact.at }
  if (fact.type === 'observation') return words ? { ...fact, ...when, text: words } : 'Write a word or two.'
  if (fact.type === 'inoculation') return words ? { ...fact, ...when, culture: words.slice(0, 80) } : 'Say which culture it was.'
  if (fact.type === 'operation') return { ...fact, ...when, note: words }
  if (label.value === undefined) return { ...fact, ...when }
  const read = readNumber(words)
  if (!read.ok) return read.problem.code === 'empty' ? 'This is needed.' : `“${words}” is not a number.`
  const n = read.value
  switch (fact.type) {
    case 'reading': {
      const corrected = fact.titration
        ? { ...fact, ...when, typed: `${words} mL`, value: n * fact.titration.normality * 75.04 / fact.titration.sampleMl, titration: { ...fact.titration, titrantMl: n } }
        : { ...fact, ...when, typed: words, value: fact.quantity === 'sg' && n > 900 ? n / 1000 : n }
      const doubt = likely(corrected.quantity, corrected.value)
      return doubt.verdict === 'refuse' ? sayLikelihood(corrected.quantity, corrected.value, doubt) : corrected
    }
    case 'addition': return n >= 0 ? { ...fact, ...when, actual: n } : 'Less than nothing cannot go in.'
    case 'transfer': return n > 0 ? { ...fact, ...when, outL: n, inL: Math.max(0, n - (fact.outL - fact.inL)) } : 'Say how much left the vessel.'
    case 'lot-started': return n > 0 ? { ...fact, ...when, ...(fact.massKg ? { massKg: n, volumeL: fact.volumeL * n / fact.massKg } : { volumeL: n }) } : 'A lot needs a volume.'
    default: return { ...fact, ...when }
  }
}

async function save() {
  const before = props.fact
  const made = replacement()
  problem.value = typeof made === 'string' ? made : undefined
  if (typeof made === 'string') return
  const written = await cellar.log([{ type: 'correction', targetId: props.fact.id, reason: reason.value.trim().slice(0, 200), replacement: made }])
  if (!written) {
    problem.value = cellar.refused.map(sayLedgerProblem).join(' ') || undefined
    return
  }
  toast.add({ title: 'Corrected. What stood there before stays visible.', color: 'primary', actions: [{ label: 'Undo', onClick: () => void cellar.undoCorrection(before) }] })
  emit('done')
}
</script>

<template>
  <form novalidate class="correction sheet" @submit.prevent="save">
    <div v-if="label" class="text"><label :for="id">{{ label }}</label><input :id="id" v-model="value" type="text" autocomplete="off" :aria-invalid="problem ? 'true' : undefined"></div>
    <div class="text"><label :for="`${id}-why`">Why, if you like</label><input :id="`${id}-why`" v-model="reason" type="text" maxlength="200" autocomplete="off"></div>
    <WhenField v-model="at" />
    <p v-if="problem" class="message" role="alert">{{ problem }}</p>
    <div class="flex gap-3"><UButton type="submit" size="lg">Put it right</UButton><UButton type="button" size="lg" variant="outline" @click="emit('done')">Leave it</UButton></div>
  </form>
</template>

<style scoped>
.correction { padding: 14px; display: grid; gap: 12px; grid-template-columns: repeat(auto-fit, minmax(200px, 1fr)); align-items: end; margin: 6px 0 10px; }
.message { grid-column: 1 / -1; }
</style>
