<script setup lang="ts">
import { LAYOUT_KEYS, SHEET_KEYS, abvInBottle, alcoholOnLabel } from '~~/core/labels'
import { isFermenting } from '~~/core/ledger'
import { LAYOUT, SHEET } from '~/wording/labels'

/** Labels for a lot: chosen by sight, printed from a PDF of the sheet's own size. */
const cellar = useCellarStore()
const route = useRoute()
const logged = useLogged()
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const {
  fields,
  layout,
  sheetKey,
  sheet,
  sizes,
  size,
  name,
  own,
  code,
  notForSale,
  count,
  from,
  words,
  drawn,
  missing,
  failed,
  busy,
  save
} = useLabels(lot)
const layouts = LAYOUT_KEYS.map((value) => ({ value, ...LAYOUT[value] }))
const sheets = SHEET_KEYS.map((value) => ({ value, label: SHEET[value] }))
const sizeItems = computed(() => sizes.value.map((ml) => ({ value: String(ml), label: `${ml} mL` })))
const sizeText = computed({ get: () => String(size.value ?? ''), set: (ml: string) => (size.value = Number(ml)) })
const nudge = computed(() => ({ x: fields.right.value ?? 0, y: fields.down.value ?? 0 }))
const alcohol = computed(() => {
  const abv = lot.value && abvInBottle(lot.value)
  return abv && { ...alcoholOnLabel(abv), ...abv }
})
async function submit() {
  if (!(await save())) return focusWrong()
  logged('The labels are in your downloads')
}
useHead({ title: () => `Labels ${lot.value?.name ?? ''} · Presk` })
</script>

<template>
  <p v-if="!lot">This lot is not in this cellar. <NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  <form v-else novalidate class="grid gap-6" @submit.prevent="submit">
    <div>
      <p class="soft">
        <NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ lot.name }}</NuxtLink>
      </p>
      <h1>Labels</h1>
    </div>
    <p v-if="failed" class="message" role="alert">What draws the labels did not come. Load the page again.</p>
    <URadioGroup
      v-model="layout"
      legend="Which"
      :items="layouts"
      variant="card"
      orientation="horizontal"
      indicator="hidden"
      :ui="{ fieldset: 'looks', item: 'p-3', wrapper: 'ms-0' }"
    >
      <template #label="{ item }">
        <svg :viewBox="`0 0 ${sheet.labelW} ${sheet.labelH}`" class="look" aria-hidden="true">
          <LabelDrawing :shapes="drawn[item.value as keyof typeof drawn]" :w="sheet.labelW" :h="sheet.labelH" />
        </svg>
        {{ item.label }} <span class="hint font-normal text-(--ink-soft)">{{ item.hint }}</span>
      </template>
    </URadioGroup>
    <div class="halves">
      <div class="grid gap-5 content-start">
        <div class="tries">
          <TextField v-model="name" label="Name on it" :placeholder="lot.name" :maxlength="60" />
          <TextField v-model="own" label="A line of your own" :maxlength="90" hint="where it grew, for whom, a year to remember" />
          <SelectField v-model="sheetKey" label="Sheet" :items="sheets" />
          <SelectField v-if="sizes.length > 1" v-model="sizeText" label="Bottle" :items="sizeItems" />
          <QuantityField label="How many" :field="fields.count" />
          <QuantityField label="First free label" :field="fields.from" hint="1 for a whole sheet" />
        </div>
        <div class="grid gap-2">
          <USwitch v-model="code" label="Code with its short record" description="plain text, read by any phone, without a network" />
          <USwitch v-model="notForSale" label="“Made at home, not for sale”" />
        </div>
        <FindingNote v-if="isFermenting(lot)" tone="ask"> It still ferments: its alcohol is that of today. </FindingNote>
        <FindingNote v-if="missing.length" tone="ask">
          Its letters have no {{ missing.join(' ') }}: it would print as an empty box.
        </FindingNote>
        <dl class="pairs">
          <div>
            <dt>Alcohol</dt>
            <dd v-if="alcohol">
              <b class="figure">{{ alcohol.percent }} % vol</b>
              <span class="soft small block">
                from {{ alcohol.value.toFixed(1) }} ± {{ alcohol.uncertainty.toFixed(1) }}, to the next half
                <template v-if="!alcohol.sure"> · it may be more than half a per cent off</template>
              </span>
            </dd>
            <dd v-else class="soft">not known, and left out</dd>
          </div>
          <div>
            <dt>Allergens</dt>
            <dd>
              {{ words?.contains || 'none known of'
              }}<span class="soft small block">from what went in, and what came in with other lots</span>
            </dd>
          </div>
          <div>
            <dt>Lot</dt>
            <dd>
              {{ words?.lot.split(' · ')[0]?.replace('Lot ', '') }}<span class="soft small block">year, day of the year, name</span>
            </dd>
          </div>
        </dl>
        <FoldOut label="The printer is a little off">
          <div class="tries">
            <QuantityField label="To the right, mm" :field="fields.right" />
            <QuantityField label="Down, mm" :field="fields.down" />
          </div>
        </FoldOut>
        <div class="ways">
          <UButton type="submit" size="xl" icon="i-lucide-download" :loading="busy">Save the PDF</UButton>
          <span class="soft small">Print it at 100 %, not “fit to page”.</span>
        </div>
        <p class="soft small">
          Home-made wine is usually not for sale, and what a label must say differs by country. Whoever is given a bottle should know what
          is in it.
        </p>
      </div>
      <LabelSheet :shapes="drawn[layout]" :sheet="sheet" :count="count" :from="from" :nudge="nudge" />
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
