<script setup lang="ts">
import { PROTOCOL, type StabilityTest } from '~~/core/finishing'
import { stabilityForm } from '~/benches/stability'
import { sayWhen } from '~/wording/days'
import { PROTOCOL_WORDS, TEST_ADVICE, TEST_READY } from '~/wording/stability'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

/** Heat and cold tests: by a rule, on their clock, and what fell beside a glass that was left alone. */
const { lot } = useLotFromAddress()
const route = useRoute()
const router = useRouter()
const f = useFormat()
const now = useNow()
const cellar = useCellarStore()
const bench = useBench(stabilityForm, lot, () => (route.query.test === 'cold' ? 'cold' : undefined))
const { choices } = bench
const answer = computed(() => bench.answer.value)
const verdict = computed(() => answer.value.verdict)
const running = computed(() => answer.value.running)
const last = computed(() => answer.value.last)
const test = computed<StabilityTest>({
  get: () => answer.value.test,
  set: (is) => void router.replace({ query: { ...route.query, test: is === 'cold-test' ? 'cold' : undefined } })
})
const TESTS = [
  { value: 'heat-test' as const, label: 'Heat', hint: 'protein' },
  { value: 'cold-test' as const, label: 'Cold', hint: 'crystals of tartar' }
]
const steps = computed(() => PROTOCOL[answer.value.protocol].steps)
const toRead = computed(() => running.value !== undefined && !running.value.step)
const beganAt = computed({ get: () => choices.beganAt || undefined, set: (at) => bench.set('beganAt', at ?? '') })
const submit = () => bench.log(running.value ? 'read' : 'begin')
useHead({ title: 'Heat and cold tests · Presk' })
</script>

<template>
  <BenchFrame title="Heat and cold tests" :lot="lot" @submit="submit">
    <template #answer>
      <TestClock :steps="steps" :running="running" />
      <p v-if="running && toRead"><b>The test is finished.</b> Look at it now, against a torch.</p>
      <p v-else-if="running" class="soft">
        Begun {{ sayWhen(running.begunAt, now) }}. Look at it <b>{{ sayWhen(running.readAt, now) }}</b>.
      </p>
      <p v-else-if="last">
        <b>{{ last.stable ? 'Stable' : 'Not stable' }}</b> by its last test, {{ sayWhen(last.at, now) }}.
      </p>
      <p v-else class="soft">{{ lot ? 'Not tested yet.' : 'Choose a wine, so that its test timer is saved in its history.' }}</p>
    </template>
    <template #inputs>
      <ChoiceTiles v-model="test" class="wide" legend="Test" :items="TESTS" />
      <BenchFields v-if="!running" :bench="bench" part="begin" />
      <p v-else class="wide">
        {{ f.degrees(PROTOCOL_WORDS[answer.protocol].label) }}
        <span class="soft block small">{{ PROTOCOL_WORDS[answer.protocol].hint }}</span>
      </p>
      <p class="wide soft">{{ TEST_READY[test] }}</p>
    </template>
    <template #results>
      <template v-if="lot">
        <template v-if="!running">
          <div class="go">
            <UButton type="submit" size="xl">{{ test === 'heat-test' ? 'It is in the bath now' : 'It is in the cold now' }}</UButton>
          </div>
          <WhenField v-model="beganAt" />
        </template>
        <template v-else>
          <FindingNote v-if="!toRead" tone="ask">The test is still running. What you see now may change.</FindingNote>
          <LazyPracticeGlass v-if="toRead && cellar.isPractice" :key="`${lot.id} ${test}`" :lot-id="lot.id" :test="test" />
          <BenchFields :bench="bench" part="read" :only="['fallen']" />
          <FoldOut v-if="test === 'heat-test'" label="With a turbidity meter">
            <div class="tries">
              <BenchFields :bench="bench" part="read" :only="['before', 'after']" />
            </div>
          </FoldOut>
          <p v-if="verdict" aria-live="polite">
            <b>{{ TEST_ADVICE[verdict.advice] }}</b><template v-if="answer.byNtu"> By the meter.</template>
          </p>
          <div class="go"><span /><UButton type="submit" size="xl" :disabled="!verdict">Log it</UButton></div>
        </template>
        <p v-if="verdict?.advice === 'fine' || verdict?.advice === 'fine-least' || last?.stable === false" class="flex flex-wrap gap-x-6">
          <NuxtLink v-if="test === 'heat-test'" :to="`/bench/trial?lot=${lot.id}`" class="textlink">Bench trial</NuxtLink>
          <NuxtLink v-else :to="`/bench/cold?lot=${lot.id}`" class="textlink">Cold stabilising</NuxtLink>
        </p>
      </template>
      <CautionNote v-if="test === 'heat-test'" code="hotGlass" />
      <p class="soft small">
        Sources: two hours after Pocock and Waters, 2006; six hours after Pocock and Rankine, 1973; two units of turbidity and three days
        of cold as handbooks have them; all from memory. The freezer: common practice.
      </p>
    </template>
  </BenchFrame>
</template>
