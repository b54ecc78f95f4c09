<script setup lang="ts">
import { restartForm } from '~/benches/restart'
import { sayWhen } from '~/wording/days'
import { sayCause, sayRestartFinding, sayRestartStep } from '~/wording/restart'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

/** A stuck ferment, restarted: what stopped it, conditions set right, and a starter that is acclimatised to the wine. */
const cellar = useCellarStore()
const route = useRoute()
const now = useNow()
const f = useFormat()
const materials = useMaterials()
const say = { ...f, material: materials.name }
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const bench = useBench(restartForm, lot)
const { answer } = bench
const plan = computed(() => answer.value.plan)
const amounts = computed(() => ({
  yeastG: plan.value?.yeastG ?? 0,
  waterMl: plan.value?.waterMl ?? 0,
  nutrientG: plan.value?.rehydrationNutrientG ?? 0,
  hullsG: plan.value?.hullsG ?? 0,
  holdC: plan.value?.holdC ?? 22
}))
const hour = (at: number) => sayWhen(new Date(at).toISOString(), now.value)
useHead({ title: () => `Restart, ${lot.value?.name ?? ''} · Presk` })
</script>

<template>
  <p v-if="!lot || !plan">This cellar has no such lot. <NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  <div v-else class="beside">
    <section class="grid gap-5">
      <div>
        <p class="soft"><NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ lot.name }}</NuxtLink></p>
        <h1>{{ answer.begun ? 'The restart runs' : 'How to restart it' }}</h1>
      </div>
      <div>
        <h2 class="mb-2">What may have stopped it</h2>
        <ul class="causes">
          <li v-for="c in plan.causes" :key="c.code">{{ sayCause(c, say) }}</li>
        </ul>
      </div>
      <FindingNote v-for="x in plan.findings" :key="x.code" :tone="x.code === 'too-strong' ? 'stop' : 'ask'">
        {{ f.degrees(sayRestartFinding(x)) }}
      </FindingNote>
      <CautionNote code="hotWater" />
      <div>
        <h2 class="mb-2">Step by step</h2>
        <ol class="timed run">
          <li
            v-for="s in answer.steps"
            :key="s.code + s.atHours"
            :class="{ on: s === answer.on }"
            :aria-current="s === answer.on ? 'step' : undefined"
          >
            <span class="figure">{{ answer.begun ? hour(s.at) : s.atHours < 0 ? 'before' : `${Math.round(s.atHours)} h` }}</span>
            <span>{{ sayRestartStep(s, say, amounts) }}</span>
          </li>
        </ol>
      </div>
      <div class="ways">
        <UButton v-if="!answer.begun" size="xl" :loading="bench.saving.value" @click="bench.log('begin')">
          Start: the yeast is in its water
        </UButton>
        <UButton v-else size="xl" :loading="bench.saving.value" @click="bench.log('pitch')">The starter is in the wine</UButton>
      </div>
      <p class="soft small">Common practice; follow the packet of your yeast. Go by the fall in gravity, not by the clock.</p>
    </section>
    <aside>
      <h2 class="mb-2">To weigh out</h2>
      <dl class="pairs">
        <div><dt>A strong yeast</dt><dd class="figure">{{ f.words(f.powder(plan.yeastG)) }}</dd></div>
        <div><dt>Rehydration nutrient</dt><dd class="figure">{{ f.words(f.powder(plan.rehydrationNutrientG)) }}</dd></div>
        <div><dt>Yeast hulls</dt><dd class="figure">{{ f.words(f.powder(plan.hullsG)) }}</dd></div>
        <div><dt>Hold it at</dt><dd class="figure">{{ f.words(f.temperature(plan.holdC)) }}</dd></div>
      </dl>
    </aside>
  </div>
</template>

<style scoped>
.causes li {
  border-top: 1.5px solid var(--line);
  padding: 9px 0;
}
.run .on {
  background: var(--skin-wash);
  border-radius: 6px;
}
</style>
