<script setup lang="ts">
import { FALLEN, PROTOCOL, type StabilityTest } from '~~/core/finishing'
import { sayWhen } from '~/wording/days'
import { FALLEN_WORDS, PROTOCOL_WORDS, TEST_ADVICE, TEST_NAME, TEST_READY } from '~/wording/stability'

/** Heat and cold tests: by a rule, on their clock, and what fell beside a glass that was left alone. */
const { lot } = useLotFromAddress()
const route = useRoute()
const router = useRouter()
const f = useFormat()
const now = useNow()
const cellar = useCellarStore()
const logged = useLogged()
const test = computed<StabilityTest>({
  get: () => (route.query.test === 'cold' ? 'cold-test' : 'heat-test'),
  set: (is) => void router.replace({ query: { ...route.query, test: is === 'cold-test' ? 'cold' : undefined } })
})
const TESTS = [
  { value: 'heat-test' as const, label: 'Heat', hint: 'protein' },
  { value: 'cold-test' as const, label: 'Cold', hint: 'crystals of tartar' }
]
const { rules, chosen, running, protocol, fallen, before, after, byNtu, verdict, last, beganAt, begin, read } = useStabilityTest(lot, test)
const items = computed(() =>
  rules.value.map((value) => ({ value, label: f.degrees(PROTOCOL_WORDS[value].label), hint: PROTOCOL_WORDS[value].hint }))
)
const looks = computed(() => FALLEN.map((value) => ({ value, ...FALLEN_WORDS[test.value][value] })))
const legend = computed(() => (test.value === 'heat-test' ? 'Compared with the other glass it is' : 'In the glass there are'))
const steps = computed(() => PROTOCOL[protocol.value].steps)
const toRead = computed(() => running.value !== undefined && !running.value.step)
async function submit() {
  const l = lot.value
  if (!l) return
  if (!running.value) {
    if (await begin()) logged(`${l.name}: ${TEST_NAME[test.value].toLowerCase()} begun`)
  }
  else if (!(await read())) focusWrong()
  else logged(`${l.name}: ${TEST_NAME[test.value].toLowerCase()} noted`)
}
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
      <ChoiceTiles v-if="!running" v-model="chosen" class="wide" legend="Method" :items="items" :least="220" />
      <p v-else class="wide">
        {{ f.degrees(PROTOCOL_WORDS[protocol].label) }} <span class="soft block small">{{ PROTOCOL_WORDS[protocol].hint }}</span>
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
          <ChoiceTiles v-model="fallen" :legend="legend" :items="looks" />
          <FoldOut v-if="test === 'heat-test'" label="With a turbidity meter">
            <div class="tries">
              <QuantityField label="The untreated glass" :field="before" unit-label="NTU" />
              <QuantityField label="The heated glass" :field="after" unit-label="NTU" hint="up to 2 more is stable" />
            </div>
          </FoldOut>
          <p v-if="verdict" aria-live="polite">
            <b>{{ TEST_ADVICE[verdict.advice] }}</b><template v-if="byNtu"> By the meter.</template>
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
