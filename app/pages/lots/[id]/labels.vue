<script setup lang="ts">
import { LAYOUT_KEYS, SHEET_KEYS, abvInBottle, alcoholOnLabel } from '~~/core/labels'
import { isFermenting } from '~~/core/ledger'
import { LAYOUT, SHEET } from '~/wording/labels'
import { focusWrong } from '~/composables/focusWrong'
import { useLabels } from '~/composables/useLabels'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** Labels for a lot: chosen by sight, printed from a PDF of the sheet's own size. */
const cellar = useCellarStore()
const route = useRoute()
const logged = useLogged()
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const labels = reactive(useLabels(lot))
const layouts = LAYOUT_KEYS.map((value) => ({ value, ...LAYOUT[value] }))
const sheets = SHEET_KEYS.map((value) => ({ value, label: SHEET[value] }))
const sizeItems = computed(() => labels.sizes.map((ml) => ({ value: String(ml), label: `${ml} mL` })))
const sizeText = computed({ get: () => String(labels.size ?? ''), set: (ml: string) => (labels.size = Number(ml)) })
const nudge = computed(() => ({ x: labels.fields.right.value ?? 0, y: labels.fields.down.value ?? 0 }))
const alcohol = computed(() => {
  const abv = lot.value && abvInBottle(lot.value)
  return abv && { ...alcoholOnLabel(abv), ...abv }
})
async function submit() {
  if (!(await labels.save())) return focusWrong()
  logged('Labels saved to your downloads')
}
useHead({ title: () => `Labels ${lot.value?.name ?? ''} · Presk` })
</script>

<template>
  <p v-if="!lot">This cellar has no such lot. <NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  <form v-else novalidate class="grid grid-cols-1 gap-6" @submit.prevent="submit">
    <div>
      <p class="soft">
        <NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ lot.name }}</NuxtLink>
      </p>
      <h1>Labels</h1>
    </div>
    <p v-if="labels.failed" class="message" role="alert">The label designer did not load. Load the page again.</p>
    <URadioGroup
      v-model="labels.layout"
      legend="Which"
      :items="layouts"
      variant="card"
      orientation="horizontal"
      indicator="hidden"
      :ui="{ fieldset: 'looks', item: 'p-3', wrapper: 'ms-0' }"
    >
      <template #label="{ item }">
        <svg :viewBox="`0 0 ${labels.sheet.labelW} ${labels.sheet.labelH}`" class="look" aria-hidden="true">
          <LabelDrawing :shapes="labels.drawn[item.value as keyof typeof labels.drawn]" :w="labels.sheet.labelW" :h="labels.sheet.labelH" />
        </svg>
        {{ item.label }} <span class="hint font-normal text-(--ink-soft)">{{ item.hint }}</span>
      </template>
    </URadioGroup>
    <div class="halves">
      <div class="grid gap-5 content-start">
        <div class="tries">
          <TextField v-model="labels.name" label="Name on it" :placeholder="lot.name" :maxlength="60" />
          <TextField
            v-model="labels.own"
            label="A line of your own"
            :maxlength="90"
            hint="where it grew, who it is for"
          />
          <SelectField v-model="labels.sheetKey" label="Sheet" :items="sheets" />
          <SelectField v-if="labels.sizes.length > 1" v-model="sizeText" label="Bottle" :items="sizeItems" />
          <QuantityField label="How many" :field="labels.fields.count" />
          <QuantityField label="First free label" :field="labels.fields.from" hint="1 for a new sheet" />
        </div>
        <div class="grid gap-2">
          <USwitch
            v-model="labels.code"
            label="QR code with a short record"
            description="plain text, read by any phone, without a network"
          />
          <USwitch v-model="labels.notForSale" label="“Made at home, not for sale”" />
        </div>
        <FindingNote v-if="isFermenting(lot)" tone="ask"> It is still fermenting. The label shows today’s alcohol. </FindingNote>
        <FindingNote v-if="labels.missing.length" tone="ask">
          The label font has no {{ labels.missing.join(' ') }}. It would print as an empty box.
        </FindingNote>
        <dl class="pairs">
          <div>
            <dt>Alcohol</dt>
            <dd v-if="alcohol">
              <b class="figure">{{ alcohol.percent }} % vol</b>
              <span class="soft small block">
                from {{ alcohol.value.toFixed(1) }} ± {{ alcohol.uncertainty.toFixed(1) }}, to the next half
                <template v-if="!alcohol.sure"> · it may be out by more than half a per cent</template>
              </span>
            </dd>
            <dd v-else class="soft">not known, and left out</dd>
          </div>
          <div>
            <dt>Allergens</dt>
            <dd>
              {{ labels.words?.contains || 'none known'
              }}<span class="soft small block">from what went in, and what came in with other lots</span>
            </dd>
          </div>
          <div>
            <dt>Lot</dt>
            <dd>
              {{ labels.words?.number }}<span class="soft small block">year, day of the year, name</span>
            </dd>
          </div>
        </dl>
        <FoldOut label="Adjust for the printer">
          <div class="tries">
            <QuantityField label="To the right, mm" :field="labels.fields.right" />
            <QuantityField label="Down, mm" :field="labels.fields.down" />
          </div>
        </FoldOut>
        <div class="ways">
          <UButton type="submit" size="xl" icon="i-lucide-download" :loading="labels.busy">Save the PDF</UButton>
          <span class="soft small">Print at 100 %, not “fit to page”.</span>
        </div>
        <p class="soft small">
          Home-made wine may usually not be sold, and label rules differ by country. Tell anyone you give a bottle what is in it.
        </p>
      </div>
      <LabelSheet
        :shapes="labels.drawn[labels.layout]"
        :sheet="labels.sheet"
        :count="labels.count"
        :from="labels.from"
        :nudge="nudge"
      />
    </div>
  </form>
</template>

<style scoped>
:deep(.looks) {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 14px;
}
.look {
  max-width: 100%;
  max-height: 260px;
  margin: 0 auto 8px;
  outline: 1px solid var(--line);
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 40px;
}
@media (max-width: 800px) {
  :deep(.looks) {
    gap: 8px;
  }
  .hint {
    display: none;
  }
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
