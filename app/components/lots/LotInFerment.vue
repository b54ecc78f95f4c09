<script setup lang="ts">
import { HOUR_MS } from '~~/core/units'
import type { LotView } from '~~/core/ledger'
import { phaseOf } from '~~/core/stages'
import { useMaterials } from '~/composables/useMaterials'
import { useNow } from '~/composables/useNow'
import { useStepLog } from '~/composables/useStepLog'

/** What some give to a ferment besides its nutrient: oak dust and tannin into a young red, sugar in parts into any. */
const props = defineProps<{ lot: LotView }>()
const materials = useMaterials()
const { saving, write, addition } = useStepLog(() => props.lot)
/** So long after enzyme tannin would be bound by it, h. */
const ENZYME_H = 8
const early = computed(() => props.lot.style === 'red' && props.lot.stream !== 'kit' && phaseOf(props.lot) !== 'late')
const enzymeAt = computed(() => props.lot.added.get('pectic-enzyme')?.lastAt)
const now = useNow()
const tooNear = computed(() => enzymeAt.value !== undefined && Date.parse(now.value) - Date.parse(enzymeAt.value) < ENZYME_H * HOUR_MS)
const rows = computed(() =>
  (['oak-dust', 'tannin'] as const).flatMap((key) => {
    const dose = materials.card(key)?.dose
    if (!dose) return []
    const given = props.lot.added.get(key)
    return [{ key, grams: ((dose.min + dose.max) / 2) * props.lot.volume.value, dose, given }]
  })
)
const WHY = {
  'oak-dust': 'Binds colour and covers green notes. It comes out with the skins when you press.',
  'tannin': 'Keeps colour early on. Dissolve it in warm water, and decide by taste whether to add more later.'
} as const
const wentIn = (key: string, planned: number, actual: number, byStock: boolean) =>
  write([addition(key, planned, actual, byStock, { purpose: 'in the ferment' })], `${materials.title(key)} is in`)
</script>

<template>
  <FoldOut label="During the ferment: oak, tannin, sugar in steps">
    <div class="grid gap-5">
      <template v-if="early">
        <section v-for="r in rows" :key="r.key">
          <p v-if="r.given" class="soft">{{ materials.title(r.key) }}: {{ Number(r.given.actual.toPrecision(3)) }} g went in.</p>
          <template v-else>
            <p class="soft small">{{ WHY[r.key] }} {{ r.dose.min }} to {{ r.dose.max }} g/L, common practice, no source.</p>
            <FindingNote v-if="r.key === 'tannin' && tooNear">
              Enzyme went in less than {{ ENZYME_H }} hours ago, and tannin would bind it. Wait.
            </FindingNote>
            <WentIn
              :label="materials.title(r.key)"
              :material="r.key"
              :grams="r.grams"
              :disabled="r.key === 'tannin' && tooNear"
              :saving="saving"
              @log="(actual, byStock) => wentIn(r.key, r.grams, actual, byStock)"
            />
          </template>
        </section>
      </template>
      <p>
        <NuxtLink :to="`/lots/${lot.id}/feed`" class="textlink">{{
          lot.sugarSteps ? 'Next step of sugar' : 'Add sugar or honey in steps'
        }}</NuxtLink>
      </p>
    </div>
  </FoldOut>
</template>
