<script setup lang="ts">
import type { Entry, InstrumentState } from '~~/core/ledger'
import { sayWhen } from '~/wording/days'
import { INSTRUMENT } from '~/wording/instruments'
import { sayCheck } from '~/wording/sentences'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

const cellar = useCellarStore()
const f = useFormat()
const now = useNow()
const logged = useLogged()
const instruments = computed(() => [...cellar.state.instruments.values()])
const checking = ref<string>()
const added = ([entry]: Entry[]) => {
  if (entry?.type === 'instrument-added') logged(`${entry.name} added`)
}

const check = (instrument: InstrumentState) => {
  checking.value = checking.value === instrument.id ? undefined : instrument.id
}
const last = (i: InstrumentState) => i.checks.at(-1)
</script>

<template>
  <StoreSection title="Your instruments" label="Instruments">
    <p class="soft">
      Every reading names its instrument. If a check finds one off, Presk corrects all readings since the last check, and keeps what you
      typed.
    </p>
    <ul>
      <li v-for="i in instruments" :key="i.id">
        <div class="head">
          <span
          ><b class="display">{{ i.name }}</b
          ><br /><span class="soft small"
          >{{ INSTRUMENT[i.kind].name }},
            {{
              last(i)
                ? `checked ${sayWhen(last(i)!.at, now)}: ${sayCheck(last(i)!)}${last(i)!.adjusted ? ', adjusted' : ''}`
                : 'never checked'
            }}</span
          ></span
          >
          <UButton variant="outline" size="md" :aria-expanded="checking === i.id" :aria-label="`Check ${i.name}`" @click="check(i)"
          >Check</UButton
          >
        </div>
        <InstrumentCheck v-if="checking === i.id" :instrument="i" :words="INSTRUMENT[i.kind]" @done="checking = undefined" />
      </li>
    </ul>
    <EntryForm type="instrument-added" send="Add" @done="added" />
    <p class="soft small">
      {{ f.words(f.temperature(20)) }} is the usual calibration temperature of a hydrometer; you can enter another one for yours.
    </p>
  </StoreSection>
</template>

<style scoped>
li {
  border-top: 1.5px solid var(--line);
  padding: 10px 0;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  align-items: center;
}
</style>
