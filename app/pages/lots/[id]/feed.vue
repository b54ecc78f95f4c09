<script setup lang="ts">
import { FEED_AT_SG } from '~~/core/must'
import { sayWhen } from '~/wording/days'
import { useFedInSteps } from '~/composables/useFedInSteps'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useNow } from '~/composables/useNow'
import { useStepLog } from '~/composables/useStepLog'
import { useCellarStore } from '~/stores/cellar'

/** Sugar, honey or concentrate for a strong wine, fed to its ferment in parts. */
const cellar = useCellarStore()
const route = useRoute()
const now = useNow()
const f = useFormat()
const materials = useMaterials()
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const log = useStepLog(() => lot.value!)
const sweeteners = computed(() => materials.choices('sugar'))
const { material, wanted, potential, tolerance, plan, step, fits } = useFedInSteps(() => lot.value)
const keep = () =>
  plan.value &&
  log.write(
    [
      {
        type: 'lot-planned',
        lotId: lot.value!.id,
        sugarSteps: { material: material.value, totalG: plan.value.totalG, parts: plan.value.parts }
      }
    ],
    'Plan saved. Presk asks for each part when it is due.'
  )
const wentIn = (actual: number, byStock: boolean) =>
  log.write([log.addition(step.value!.material, step.value!.grams, actual, byStock, { purpose: 'fed in steps' })], 'A part is in')
useHead({ title: () => `Feed in steps, ${lot.value?.name ?? ''} · Presk` })
</script>

<template>
  <div v-if="!lot" class="grid gap-3">
    <h1>This cellar has no such lot</h1>
    <p><NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  </div>
  <div v-else class="grid gap-5 max-w-(--measure)">
    <header>
      <p class="soft"><NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ lot.name }}</NuxtLink></p>
      <h1>Feed it in steps</h1>
      <p class="soft">
        For a strong wine, sugar, honey or concentrate goes in by parts, each when the last one is nearly used up.
      </p>
    </header>
    <p v-if="!fits">Fermentation is over. Nothing more goes in.</p>
    <p v-else-if="lot.alcoholic === 'stuck'" role="alert">Fermentation is stuck. Sugar does not restart it, so restart it first.</p>
    <section v-if="step" class="sheet p-5 grid gap-3">
      <h2>{{ step.of > 1 ? `Part ${step.part} of ${step.of}` : 'All of it at once' }}</h2>
      <p v-if="!step.ready" class="soft">
        When it is down to {{ step.atSg.toFixed(3) }}<template v-if="step.due">, expected {{ sayWhen(step.due, now) }}</template>.
      </p>
      <WentIn
        :label="materials.title(step.material)"
        :material="step.material"
        :grams="step.grams"
        :disabled="!step.ready"
        :saving="log.saving.value"
        @log="wentIn"
      />
      <p class="soft">Dissolve it in some of the must first. Powder or thick honey makes a gassy must foam over.</p>
    </section>
    <section v-if="fits" class="grid gap-4">
      <h2>{{ lot.sugarSteps ? 'Plan it again' : 'How much' }}</h2>
      <p v-if="potential === undefined" class="soft">Measure the sugar first. The amount depends on it.</p>
      <template v-else>
        <div class="tries">
          <SelectField v-model="material" label="Feed with" :items="sweeteners" />
          <QuantityField label="Alcohol wanted" :field="wanted" unit-label="% vol" :hint="`${potential.toFixed(1)} without it`" />
        </div>
        <FindingNote v-if="wanted.value !== undefined && wanted.value <= potential">
          Without any it reaches {{ potential.toFixed(1) }} % vol.
        </FindingNote>
        <FindingNote v-if="wanted.value !== undefined && tolerance !== undefined && wanted.value > tolerance" tone="stop">
          Its yeast tolerates {{ tolerance }} % vol. Beyond that the wine stays sweet.
        </FindingNote>
        <dl v-if="plan" class="pairs">
          <div><dt>In all</dt><dd class="figure">{{ f.words(f.powder(plan.totalG)) }}</dd></div>
          <div v-if="plan.parts > 1">
            <dt>In parts</dt><dd class="figure">{{ plan.parts }} of {{ f.words(f.powder(plan.eachG)) }}</dd>
          </div>
          <div>
            <dt>{{ plan.parts > 1 ? 'Each when' : 'At once, when' }} it is down to</dt>
            <dd class="figure">{{ FEED_AT_SG.toFixed(3) }}</dd>
          </div>
          <div><dt>New volume</dt><dd class="figure">{{ f.words(f.volume(plan.newVolumeL)) }}</dd></div>
        </dl>
        <p v-if="plan" class="soft small">
          16.83 g of sugar make 1 % vol (EU wine rules); at most 40 g of sugar in a litre at once, and at {{ FEED_AT_SG.toFixed(3) }}:
          common practice, no source. Honey has hardly any nitrogen: feed the yeast as well.
        </p>
        <div><UButton size="xl" :disabled="!plan" :loading="log.saving.value" @click="keep">Save this plan</UButton></div>
      </template>
      <CautionNote code="limits" />
    </section>
  </div>
</template>
