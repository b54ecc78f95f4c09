<script setup lang="ts">
import { fact } from '~~/core/drafts'
import { type ExerciseCode, EXERCISES, drawExercise, judgeNumber, ownError } from '~~/practice/exercises'
import { readNumber } from '~~/core/units'
import { keepPractised, practised } from '~/data/practice-season'
import { CHOICE, EXERCISE, VERDICT_SAID, sayOff, sayUsually, sayWhy } from '~/wording/exercises'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** One exercise, drawn from the seed in the address. */
const route = useRoute()
const router = useRouter()
const code = computed(() => EXERCISES.find((c) => c === route.params.code))
const seed = computed(() => {
  const asked = Number(route.query.seed)
  return Number.isSafeInteger(asked) && asked > 0 && asked < 1e6 ? asked : 0
})
const draw = () => void router.replace({ query: { seed: 1 + Math.floor(Math.random() * 99_999) } })
onMounted(() => {
  if (!seed.value) draw()
})
const exercise = computed(() => (code.value && seed.value ? drawExercise(code.value, seed.value) : undefined))
const words = computed(() => code.value && EXERCISE[code.value])
const typed = ref('')
const chosen = ref('')
const problem = ref('')
const answered = shallowRef<{ right: boolean, said: string, why: string }>()
watch(seed, () => {
  typed.value = chosen.value = problem.value = ''
  answered.value = undefined
})
const record = ref(practised())
const mine = computed(() => (code.value && Object.hasOwn(record.value, code.value) ? record.value[code.value]! : []))
const off = computed(() => mine.value.flatMap((p) => (p.off === undefined ? [] : [p.off])))
/** How far off the person usually is: the root of the mean square. */
const usually = computed(() => (off.value.length < 3
  ? undefined
  : Math.sqrt(off.value.reduce((sum, n) => sum + n * n, 0) / off.value.length)))
/** In the cellar that is open, not in one that is practised in. */
const cellar = useCellarStore()
const logged = useLogged()
const own = computed(() => {
  const found = code.value && !cellar.isPractice ? ownError(code.value, off.value) : undefined
  return found && cellar.state.ownErrors[found.quantity] !== found.halfWidth ? found : undefined
})
async function useOwn() {
  if (!own.value) return
  const { quantity, halfWidth } = own.value
  const written = await cellar.log([fact('equipment-said', { has: {}, reads: { [quantity]: halfWidth } })])
  if (written) logged('Your reading error is used from now on')
}
const result = ref<HTMLElement>()

function check() {
  const e = exercise.value!
  problem.value = ''
  if (e.answer.kind === 'number') {
    const read = readNumber(typed.value)
    if (!read.ok) {
      problem.value = 'Type a number.'
      return
    }
    // A gravity in points, as many say it, is one.
    const value = e.answer.unit === 'SG' && read.value > 100 ? read.value / 1000 : read.value
    const { off, verdict } = judgeNumber(e.answer, value)
    const truth = `${e.answer.truth.toFixed(e.answer.decimals)} ${e.answer.unit === 'pH' ? '' : e.answer.unit}`.trim()
    tell({ right: verdict === 'good', off }, `It is ${truth}: you were ${sayOff(e.answer, off)}. ${VERDICT_SAID[verdict]}`, '')
  }
  else {
    if (!chosen.value) {
      problem.value = 'Choose one.'
      return
    }
    const right = chosen.value === e.answer.right
    tell({ right }, right ? 'Right.' : `Not quite: ${CHOICE[e.answer.right]!.replace(/^./, (c) => c.toLowerCase())}.`, e.answer.right)
  }
}
function tell(answer: { right: boolean, off?: number }, said: string, right: string) {
  answered.value = { right: answer.right, said, why: sayWhy(code.value as ExerciseCode, exercise.value!.working, right) }
  record.value = keepPractised(code.value!, answer)
  void nextTick(() => result.value?.focus())
}
useHead({ title: () => `${words.value?.name ?? 'Exercise'} · Presk` })
</script>

<template>
  <div v-if="exercise && words" class="exercise">
    <NuxtLink to="/practice" class="textlink">Practice</NuxtLink>
    <h1>{{ words.name }}</h1>
    <p class="ask">{{ words.ask }}</p>
    <div class="beside">
      <ExerciseShown :key="`${exercise.code} ${exercise.seed}`" :exercise="exercise" />
      <form class="grid gap-4 content-start" novalidate @submit.prevent="check">
        <UFormField v-if="exercise.answer.kind === 'number'" :label="words.label" :error="problem || undefined">
          <UInput v-model="typed" inputmode="decimal" autocomplete="off" class="w-full figure" :disabled="!!answered" size="xl">
            <template v-if="exercise.answer.unit !== 'pH'" #trailing><span class="soft small">{{ exercise.answer.unit }}</span></template>
          </UInput>
        </UFormField>
        <template v-else>
          <ChoiceTiles
            v-model="chosen"
            :legend="words.label"
            :items="exercise.answer.options.map((value) => ({ value, label: CHOICE[value]! }))"
            :least="260"
          />
          <p v-if="problem" role="alert" class="text-(--stop)">{{ problem }}</p>
        </template>
        <UButton v-if="!answered" type="submit" size="xl" class="justify-self-start">Check</UButton>
        <section v-else ref="result" tabindex="-1" class="result sheet" :class="{ right: answered.right }" aria-live="polite">
          <p><b>{{ answered.said }}</b></p>
          <p>{{ answered.why }}</p>
          <p class="flex flex-wrap items-center gap-x-5 gap-y-2">
            <UButton size="lg" @click="draw">Another</UButton>
            <NuxtLink :to="words.to.path" class="textlink">{{ words.to.label }}</NuxtLink>
          </p>
        </section>
        <p v-if="mine.length" class="soft small">
          {{ mine.filter((p) => p.right).length }} of your last {{ mine.length }} were right.
          <template v-if="usually !== undefined && exercise.answer.kind === 'number'">
            You are usually off by {{ sayUsually(exercise.answer, usually) }}.
          </template>
        </p>
        <p v-if="own && exercise.answer.kind === 'number'" class="grid gap-2 justify-items-start">
          <span class="soft small">
            With the instrument’s own error that is ± {{ sayUsually(exercise.answer, own.halfWidth) }}. Presk can show your readings
            with it.
          </span>
          <UButton variant="outline" size="lg" @click="useOwn">Use it for my readings</UButton>
        </p>
      </form>
    </div>
  </div>
  <div v-else-if="!code">
    <h1>No such exercise</h1>
    <NuxtLink to="/practice" class="textlink">All exercises</NuxtLink>
  </div>
</template>

<style scoped>
.exercise { display: grid; gap: 12px; }
.ask { max-width: var(--measure); font-size: 1.08rem; }
.beside { grid-template-columns: minmax(0, 620px) minmax(280px, 400px); margin-top: 8px; }
.result { padding: 16px; display: grid; gap: 10px; border-color: var(--caution); }
.result.right { border-color: var(--good); }
@media (max-width: 900px) { .beside { grid-template-columns: minmax(0, 1fr); } }
</style>
