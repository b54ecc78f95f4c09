<script setup lang="ts">
import { SO2_SHARE, type SulphiteSalt } from '~~/core/sulphite'
import type { Draft, Fact } from '~~/core/ledger'
import { saySulphiteFinding } from '~/wording/sulphite'
import { MATERIAL } from '~/wording/terms'

const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const f = useFormat()
const toast = useToast()
const bench = useSulphiteBench(lot)
const { fields, salt, targetMolecular, dose, spoons, stockMl, working } = bench

const SALTS = Object.keys(SO2_SHARE) as SulphiteSalt[]
const TARGETS = [{ value: 0.5, label: '0.5', hint: 'usual for reds' }, { value: 0.6, label: '0.6', hint: 'in between' }, { value: 0.8, label: '0.8', hint: 'usual for whites' }] as const
const saving = ref(false)
const stop = (code: string) => code === 'ph-too-high' || code === 'over-total-limit'

async function log() {
  bench.touchAll()
  fields.actual.touch()
  if (!lot.value || !dose.value || fields.actual.value === undefined) {
    await nextTick()
    document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()
    return
  }
  saving.value = true
  const byStock = bench.usesStock.value
  const draft: Draft<Fact> = {
    type: 'addition', lotId: lot.value.id, material: byStock ? 'sulphite-stock' : salt.value, unit: byStock ? 'mL' : 'g',
    planned: Number(bench.planned.value!.toPrecision(4)), actual: fields.actual.value,
    so2Share: byStock ? SO2_SHARE[salt.value] * bench.STOCK_G_PER_L / 1000 : SO2_SHARE[salt.value], purpose: `for ${targetMolecular.value} mg/L molecular`
  }
  const written = await cellar.log([draft])
  saving.value = false
  if (!written) return
  toast.add({ title: `Logged: ${fields.actual.text.trim()} ${draft.unit} into ${lot.value.name}`, color: 'primary' })
  await navigateTo(`/lots/${lot.value.id}`)
}
useHead({ title: 'Sulphite · Presk' })
</script>

<template>
  <form novalidate class="bench" @submit.prevent="log">
    <div class="title"><h1>Sulphite</h1><BenchLotPicker :lot="lot" /></div>
    <section class="answer" aria-live="polite">
      <template v-if="dose">
        <FigureNumber
          :label="bench.usesStock.value ? 'Measure out, of the stock solution' : 'Weigh'"
          :shown="bench.usesStock.value ? { text: stockMl!.toFixed(1), unit: 'mL' } : f.powder(dose.grams)"
          origin="worked out" size="hero"
        />
        <p v-if="bench.usesStock.value" class="stock">That is {{ f.words(f.powder(dose.grams)) }}, too little for your scale. Stock solution: 10 g of the salt made up to 100 mL with cool water. Make it fresh.</p>
        <p v-else class="spoons"><template v-if="spoons && spoons.words">about {{ spoons.words }}, level, if the scale is wet</template></p>
      </template>
      <p v-else class="soft">Give pH and volume, and the weight stands here.</p>
    </section>
    <section class="inputs">
      <QuantityField label="pH" :field="fields.ph" :hint="lot?.ph ? `${lot.ph.origin} for ${lot.name}` : undefined" />
      <QuantityField label="Volume" :field="fields.volume" :hint="lot ? lot.volume.origin === 'measured' ? 'measured' : 'expected juice, not fruit' : undefined" />
      <QuantityField label="Free SO₂ already there" :field="fields.free" unit-label="mg/L" :hint="bench.freeHint.value" />
      <QuantityField label="Part that will bind" :field="fields.bound" unit-label="%" hint="a third is usual; none for a cautious first dose" />
      <fieldset class="wide">
        <legend>Molecular SO₂ to aim for, mg/L</legend>
        <div class="targets">
          <label v-for="t in TARGETS" :key="t.value" class="choice"><input v-model="targetMolecular" type="radio" name="target" :value="t.value"><span><b class="figure">{{ t.label }}</b><small>{{ t.hint }}</small></span></label>
        </div>
      </fieldset>
      <div class="text wide"><label for="salt">Salt</label><select id="salt" v-model="salt"><option v-for="s in SALTS" :key="s" :value="s">{{ MATERIAL[s] }} ({{ (SO2_SHARE[s] * 100).toFixed(1) }} % SO₂)</option></select></div>
    </section>
    <section class="results">
      <template v-if="dose">
        <div class="row">
          <FigureNumber label="Free SO₂ wanted" :shown="f.so2(dose.targetFreeMgPerL)" size="small" />
          <FigureNumber label="To add" :shown="f.so2(dose.addMgPerL)" size="small" />
          <FigureNumber label="Molecular now" :shown="f.molecular(dose.molecularNowMgPerL)" size="small" />
        </div>
        <FindingNote v-for="finding in dose.findings.filter(x => x.code !== 'below-scale')" :key="finding.code" :tone="stop(finding.code) ? 'stop' : 'ask'">{{ saySulphiteFinding(finding) }}</FindingNote>
        <WorkingNote :steps="working" source="molecular SO₂ from pH by pKa 1.81, the value of the trade’s tables (20 °C, water); SO₂ in the salt by stoichiometry" />
      </template>
      <CautionNote code="sulphite" />
      <div v-if="lot && dose && dose.addMgPerL > 0" class="actual sheet">
        <QuantityField :label="`What went in, ${bench.usesStock.value ? 'mL' : 'g'}`" :field="fields.actual" :unit-label="bench.usesStock.value ? 'mL' : 'g'" hint="stir it in well; measure free SO₂ tomorrow" />
        <div class="go">
          <button type="button" class="textlink" @click="bench.takePlan()">Exactly as planned</button>
          <UButton type="submit" size="xl" :loading="saving">Log it</UButton>
        </div>
      </div>
    </section>
  </form>
</template>

<style scoped>
.bench { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1.05fr); grid-template-rows: auto auto 1fr; gap: 20px 56px; align-items: start; }
.title { grid-column: 1 / -1; display: flex; flex-wrap: wrap; align-items: baseline; gap: 4px 16px; }
.answer, .results { border-left: 1.5px solid var(--line); padding-left: 32px; grid-column: 2; }
.answer { display: grid; gap: 14px; align-content: start; }
.inputs { grid-column: 1; grid-row: 2 / 4; display: grid; grid-template-columns: repeat(2, minmax(0, 1fr)); gap: 18px 20px; }
.wide { grid-column: 1 / -1; }
legend { font-weight: 600; font-size: 0.95rem; margin-bottom: 6px; }
.targets { display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 10px; }
.results { display: grid; gap: 14px; align-content: start; }
.row { display: flex; flex-wrap: wrap; gap: 10px 36px; }
.spoons, .stock { font-size: 1.05rem; color: var(--ink-soft); margin-top: -6px; }
.actual { padding: 16px; display: grid; gap: 14px; }
.go { display: flex; justify-content: space-between; align-items: center; gap: 16px; }
@media (max-width: 900px) { .bench { grid-template-columns: minmax(0, 1fr); } .answer, .results, .inputs { grid-column: 1; grid-row: auto; border-left: 0; padding-left: 0; } }
@media (max-width: 480px) { .targets .choice { flex-direction: column; align-items: flex-start; gap: 4px; } }
</style>
