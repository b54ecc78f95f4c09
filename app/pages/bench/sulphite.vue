<script setup lang="ts">
import { SO2_SHARE, type SulphiteSalt } from '~~/core/sulphite'
import type { Draft, Fact } from '~~/core/ledger'
import { GIVES_UP, SCHOOL, saySulphiteFinding } from '~/wording/sulphite'
import { MATERIAL } from '~/wording/terms'

const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const f = useFormat()
const logged = useLogged()
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
  logged(`Logged: ${fields.actual.text.trim()} ${draft.unit} into ${lot.value.name}`)
  await navigateTo(`/lots/${lot.value.id}`)
}
useHead({ title: 'Sulphite · Presk' })
</script>

<template>
  <BenchFrame title="Sulphite" :lot="lot" @submit="log">
    <template #answer>
      <template v-if="dose">
        <FigureNumber
          :label="bench.usesStock.value ? 'Measure out, of the stock solution' : 'Weigh'"
          :shown="bench.usesStock.value ? { text: stockMl!.toFixed(1), unit: 'mL' } : f.powder(dose.grams)"
          origin="worked out" size="hero"
        />
        <p v-if="bench.usesStock.value" class="soft">That is {{ f.words(f.powder(dose.grams)) }}, too little for your scale. Stock solution: 10 g of the salt made up to 100 mL with cool water. Make it fresh.</p>
        <p v-else-if="spoons && spoons.words" class="soft">about {{ spoons.words }}, level, if the scale is wet</p>
      </template>
      <p v-else class="soft">Give pH and volume, and the weight stands here.</p>
    </template>
    <template #inputs>
      <QuantityField label="pH" :field="fields.ph" :hint="lot?.ph ? `${lot.ph.origin} for ${lot.name}` : undefined" />
      <QuantityField label="Volume" :field="fields.volume" :hint="lot ? lot.volume.origin === 'measured' ? 'measured' : 'expected juice, not fruit' : undefined" />
      <QuantityField label="Free SO₂ already there" :field="fields.free" unit-label="mg/L" :hint="bench.freeHint.value" />
      <QuantityField label="Part that will bind" :field="fields.bound" unit-label="%" :hint="bench.boundHint.value" />
      <fieldset>
        <legend>Molecular SO₂ to aim for, mg/L</legend>
        <div class="tiles">
          <label v-for="t in TARGETS" :key="t.value" class="choice"><input v-model="targetMolecular" type="radio" name="target" :value="t.value"><span><b class="figure">{{ t.label }}</b><small>{{ t.hint }}</small></span></label>
        </div>
      </fieldset>
      <div class="text wide"><label for="salt">Salt</label><select id="salt" v-model="salt"><option v-for="s in SALTS" :key="s" :value="s">{{ MATERIAL[s] }} ({{ (SO2_SHARE[s] * 100).toFixed(1) }} % SO₂)</option></select></div>
      <details class="wide more">
        <summary>Tablets, and other schools</summary>
        <div class="grid gap-4">
          <QuantityField label="Weight of one tablet" :field="fields.tablet" unit-label="g" hint="weigh ten and divide; take the salt from the packet, above" />
          <p v-if="bench.tablets.value"><b class="figure">{{ bench.tablets.value.rounded }}</b> {{ bench.tablets.value.rounded === 1 ? 'tablet brings' : 'tablets bring' }} {{ bench.tablets.value.addsMgPerL.toFixed(0) }} mg/L; exactly it would be {{ bench.tablets.value.exact.toFixed(1) }}.</p>
          <table v-if="bench.schools.value.length" class="figures">
            <thead><tr><th scope="col">School</th><th scope="col">What it gives up</th><td>aims at, mg/L</td></tr></thead>
            <tbody><tr v-for="s in bench.schools.value" :key="s.school"><th scope="row">{{ SCHOOL[s.school] }}</th><th>{{ GIVES_UP[s.givesUp] }}</th><td>{{ s.aimMgPerL.toFixed(0) }}</td></tr></tbody>
          </table>
        </div>
      </details>
    </template>
    <template #results>
      <template v-if="dose">
        <div class="row">
          <FigureNumber label="Free SO₂ wanted" :shown="f.so2(dose.targetFreeMgPerL)" size="small" />
          <FigureNumber label="To add" :shown="f.so2(dose.addMgPerL)" size="small" />
          <FigureNumber label="Molecular now" :shown="{ text: dose.molecularNowMgPerL.toFixed(2), unit: 'mg/L' }" size="small" />
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
    </template>
  </BenchFrame>
</template>

<style scoped>
.actual { padding: 16px; display: grid; gap: 14px; }
.go { display: flex; justify-content: space-between; align-items: center; gap: 16px; }
.more summary { cursor: pointer; color: var(--skin); font-weight: 600; min-height: 44px; display: flex; align-items: center; }
@media (max-width: 480px) { .tiles .choice { flex-direction: column; align-items: flex-start; gap: 4px; } }
</style>
