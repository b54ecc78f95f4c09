<script setup lang="ts">
import { sayWhen } from '~/wording/days'
import { sayCause, sayRestartFinding, sayRestartStep } from '~/wording/restart'

/** A stuck ferment, restarted: what stopped it, conditions set right, and a starter that is acclimatised to the wine. */
const cellar = useCellarStore()
const route = useRoute()
const now = useNow()
const f = useFormat()
const materials = useMaterials()
const logged = useLogged()
const say = { ...f, material: materials.name }
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const restart = lot.value && useRestart(() => lot.value!)
const plan = computed(() => restart?.plan.value)
const amounts = computed(() => ({
  yeastG: plan.value?.yeastG ?? 0,
  waterMl: plan.value?.waterMl ?? 0,
  nutrientG: plan.value?.rehydrationNutrientG ?? 0,
  hullsG: plan.value?.hullsG ?? 0,
  holdC: plan.value?.holdC ?? 22
}))
const hour = (at: number) => sayWhen(new Date(at).toISOString(), now.value)
async function begin() {
  if (await restart?.begin()) logged('Restart begun')
}
async function allIn() {
  if (!lot.value || !(await restart?.allIn())) return
  logged(`${lot.value.name}: restarted`)
  await navigateTo(`/lots/${lot.value.id}`)
}
useHead({ title: () => `Restart, ${lot.value?.name ?? ''} · Presk` })
</script>

<template>
  <p v-if="!lot || !restart || !plan">This cellar has no such lot. <NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  <div v-else class="beside">
    <section class="grid gap-5">
      <div>
        <p class="soft"><NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ lot.name }}</NuxtLink></p>
        <h1>{{ restart.begun.value ? 'The restart runs' : 'How to restart it' }}</h1>
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
            v-for="s in restart.steps.value"
            :key="s.code + s.atHours"
            :class="{ on: restart.begun.value && s === restart.run.value[restart.on.value] }"
            :aria-current="restart.begun.value && s === restart.run.value[restart.on.value] ? 'step' : undefined"
          >
            <span class="figure">{{ restart.begun.value ? hour(s.at) : s.atHours < 0 ? 'before' : `${Math.round(s.atHours)} h` }}</span>
            <span>{{ sayRestartStep(s, say, amounts) }}</span>
          </li>
        </ol>
      </div>
      <div class="ways">
        <UButton v-if="!restart.begun.value" size="xl" @click="begin">Start: the yeast is in its water</UButton>
        <UButton v-else size="xl" @click="allIn">The starter is in the wine</UButton>
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
