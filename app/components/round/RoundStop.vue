<script setup lang="ts">
import { type LotView, SMELLS } from '~~/core/ledger'
import { believedTemperatures, isCarried } from '~~/core/stages'
import { type KeptStop, usualWork } from '~/composables/useRound'
import { sayWhen } from '~/wording/days'
import { SMELL } from '~/wording/smells'
import { OPERATION } from '~/wording/terms'
import { focusWrong } from '~/composables/focusWrong'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'
import { useNow } from '~/composables/useNow'
import { useRoundStop } from '~/composables/useRoundStop'
import { wineColour } from '~/composables/wineColour'
import { useCellarStore } from '~/stores/cellar'

/** One vessel of the round: what was read last, what is expected now, and the fields for a thumb. */
const props = defineProps<{ lot: LotView, kept: KeptStop | undefined, first: boolean, last: boolean }>()
const emit = defineEmits<{ keep: [typed: KeptStop], logged: [], pass: [], back: [] }>()
const cellar = useCellarStore()
const now = useNow()
const f = useFormat()
const logged = useLogged()
const stop = useRoundStop(props.lot, props.kept)
const { gravity, celsius, sampleC, smells, work, note, instruments, readWith, byRefractometer, typed, expected } = stop
const { counts, corrected, odd, confirm, nothing, day, ok, log } = stop
watch(typed, (is) => emit('keep', is))

const question = ref<HTMLElement>()
const noting = ref(note.value !== '')
const before = computed(() => props.lot.series.sg?.at(-1))
const warmBefore = computed(() => believedTemperatures(props.lot).at(-1))
const carried = computed(() => isCarried(props.lot, now.value))
const vessel = computed(() =>
  [...props.lot.contents.keys()]
    .map((id) => cellar.state.vessels.get(id)?.name)
    .filter(Boolean)
    .join(', ')
)
const works = computed(() => usualWork(props.lot).map((w) => ({ value: w, label: OPERATION[w] })))
const smellItems = SMELLS.map((s) => ({ value: s, label: SMELL[s] }))

async function submit() {
  if (!ok()) {
    await focusWrong()
    // The footer covers what is asked.
    question.value?.scrollIntoView({ block: 'center' })
    return
  }
  if (nothing.value) return emit('pass')
  if (!(await log())) return
  logged(`${props.lot.name}: logged`)
  emit('logged')
}
</script>

<template>
  <form class="stop" novalidate @submit.prevent="submit">
    <header>
      <span class="swatch" :style="{ background: wineColour(lot) }" aria-hidden="true" />
      <div>
        <p class="soft">{{ vessel || 'No vessel named' }}<template v-if="day">, day {{ day }}</template></p>
        <h1>{{ lot.name }}</h1>
      </div>
    </header>
    <dl class="known">
      <div v-if="before">
        <dt>Last</dt>
        <dd>
          <b class="figure">{{ before.value.toFixed(3) }}</b>
          <template v-if="warmBefore"> at {{ f.words(f.temperature(warmBefore.value)) }}</template>
          <span class="soft small block">{{ sayWhen(before.at, now) }}</span>
        </dd>
      </div>
      <div v-if="expected">
        <dt>Expected now</dt>
        <dd>
          <b class="figure">{{ expected.mid.toFixed(3) }}</b>
          <span class="soft small block">{{ expected.low.toFixed(3) }} to {{ expected.high.toFixed(3) }}</span>
        </dd>
      </div>
    </dl>
    <p v-if="carried" class="small">
      It smelled of vinegar or varnish, so it comes last. Rinse and sulphite everything that touched it before you use it again.
    </p>
    <div class="two">
      <QuantityField label="Gravity" :field="gravity" />
      <QuantityField label="Temperature of the must" :field="celsius" />
    </div>
    <p v-if="counts !== undefined && corrected && !odd" class="small soft" aria-live="polite">
      Counts as {{ counts.toFixed(3) }}, {{ byRefractometer ? 'corrected for its alcohol' : 'at its calibration temperature' }}.
    </p>
    <div v-if="odd" ref="question" class="odd" role="alert">
      <p>{{ odd }}</p>
      <UButton variant="outline" color="warning" @click="confirm">It is correct</UButton>
    </div>
    <TapMany v-model="smells" legend="Smell" :items="smellItems" />
    <TapMany v-if="works.length" v-model="work" legend="Done now" :items="works" />
    <TextField v-if="noting" v-model="note" label="Note" />
    <UButton v-else variant="link" class="px-0 justify-start" icon="i-lucide-plus" @click="noting = true">Add a note</UButton>
    <div class="two">
      <SelectField v-model="readWith" label="Instrument" :items="instruments" />
      <QuantityField v-if="!byRefractometer" label="Sample temperature, if taken out" :field="sampleC" />
    </div>
    <footer class="foot-bar">
      <UButton
        variant="ghost"
        color="neutral"
        size="xl"
        icon="i-lucide-arrow-left"
        aria-label="Back"
        :disabled="first"
        @click="emit('back')"
      />
      <UButton variant="ghost" color="neutral" size="xl" @click="emit('pass')">Skip</UButton>
      <UButton type="submit" size="xl" class="go">{{ last ? 'Log and finish' : 'Log and next' }}</UButton>
    </footer>
  </form>
</template>

<style scoped>
.stop {
  display: grid;
  gap: 16px;
  max-width: 560px;
  padding-bottom: 84px;
}
header {
  display: flex;
  align-items: center;
  gap: 14px;
}
.swatch {
  width: 16px;
  height: 48px;
  border-radius: 8px;
}
.known {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
  border-block: 1.5px solid var(--line);
  padding: 10px 0;
}
dt {
  font-size: 0.9rem;
  color: var(--ink-soft);
}
dd b {
  font-size: 1.7rem;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
  align-items: start;
}
.odd {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 16px;
  background: var(--caution-wash);
  color: var(--caution);
  font-weight: 600;
  border-radius: var(--radius-control);
  padding: 10px 14px;
}
footer {
  position: sticky;
  bottom: 0;
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 12px 0;
  background: var(--ground);
  border-top: 1.5px solid var(--line);
  z-index: 2;
}
.go {
  flex: 1;
  justify-content: center;
}
@media (max-width: 700px) {
  .stop {
    padding-bottom: 0;
  }
  footer {
    bottom: 64px;
  }
}
</style>
