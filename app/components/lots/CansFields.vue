<script setup lang="ts">
import type { Cans } from '~/composables/useCans'
import type { QuantityField } from '~/composables/useQuantityField'
import { useFormat } from '~/composables/useFormat'

/** Grape concentrate by the can: what it makes, how much water goes in first, and what that means for the leaflet's packets. */
const props = defineProps<{ cans: Cans, target: QuantityField, leaflet: QuantityField }>()
const f = useFormat()
const { fields, makes, tooMuch, packetShare, perWeight } = props.cans
const water = (litres: number) => f.words(f.volume(litres))
</script>

<template>
  <div class="grid gap-4">
    <div class="fieldgrid">
      <QuantityField label="Cans" :field="fields.cans" hint="0.5 for half a can" />
      <QuantityField label="One can holds" :field="fields.canSize" :hint="perWeight" />
      <QuantityField label="Sugar of the concentrate" :field="fields.brix" unit-label="°Brix" hint="on the label; most have 68" />
      <QuantityField label="Dilute it to" :field="target" hint="1.080 to 1.095 for a table wine" />
      <QuantityField label="The leaflet makes" :field="leaflet" hint="if it has packets" />
    </div>
    <div v-if="makes" class="expect">
      <p>
        Makes about <b class="figure">{{ water(makes.mustL) }}</b> with {{ water(makes.waterL) }} of water. One can makes
        {{ water(makes.perCanL) }}.
      </p>
      <p v-if="packetShare !== undefined && Math.abs(packetShare - 1) > 0.02">
        The packets are for {{ water(leaflet.value!) }}, so this takes {{ packetShare.toFixed(2) }} of each.
      </p>
    </div>
    <template v-if="makes">
      <QuantityField
        label="Water to pour in first"
        :field="fields.firstWater"
        :error="tooMuch"
        hint="three quarters; the rest goes in once you have read the gravity"
      />
      <p class="soft small">
        Empty the cans into the vessel, rinse them with some of this water while it is warm, and stir to the bottom. Presk logs the
        concentrate and this water.
      </p>
      <WorkingNote
        :steps="[
          {
            what: 'Concentrate',
            formula: `${fields.cans.value} × ${water(fields.canSize.value!)}`,
            result: water(makes.syrupL),
          },
          {
            what: 'Water in all',
            formula: `mass × (${fields.brix.value} °Brix − °Brix wanted) ÷ °Brix wanted`,
            result: water(makes.waterL),
          },
          { what: 'First water', formula: 'three quarters', result: water(makes.firstL) },
        ]"
        source="mass balance: Brix is grams in 100 g; densities of ICUMSA SPS-4. Staging: common practice"
      />
    </template>
  </div>
</template>
