<script setup lang="ts">
import { NEUTRAL_FILLS, woodTime } from '~~/core/cellar'
import type { Care, VesselState } from '~~/core/ledger'
import { wantsSwelling } from '~~/core/stages'
import { sayWhen } from '~/wording/days'
import { saySwelling } from '~/wording/findings'
import { weeks } from '~/wording/findings/say'
import { VESSEL_OF, vesselWords } from '~/wording/terms'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { wineColour } from '~/composables/wineColour'
import { useCellarStore } from '~/stores/cellar'

/** A vessel: what is in it, or what it held and how clean it is, and what can be done with it. */
const props = defineProps<{ vessel: VesselState }>()
const emit = defineEmits<{ care: [what: Care], retire: [is: boolean], remove: [] }>()
const cellar = useCellarStore()
const f = useFormat()
const now = useNow()
const v = computed(() => props.vessel)
const lot = computed(() => (v.value.lotId ? cellar.lotOf(v.value.lotId) : undefined))
const isBarrel = computed(() => v.value.kind === 'barrel')
const madeOf = computed(() => (v.value.material && !isBarrel.value ? `, ${VESSEL_OF[v.value.material].toLowerCase()}` : ''))
const made = computed(() => `${vesselWords(f.volumeUnit.value)[v.value.kind]}${madeOf.value}`)
const clean = computed(() => {
  const { sanitisedAt, cleanedAt, used } = v.value
  if (sanitisedAt) return `Sanitised ${sayWhen(sanitisedAt, now.value)}`
  if (cleanedAt) return `Cleaned ${sayWhen(cleanedAt, now.value)}, not sanitised`
  return used ? 'Not cleaned' : 'Not used yet'
})
/** What was in it last, and how clean it is since. */
const past = computed(() => {
  const { lastHeld, sulphuredAt } = v.value
  const held = lastHeld ? [`Held ${lastHeld.name} until ${sayWhen(lastHeld.until, now.value)}`] : []
  return [...held, clean.value, ...(sulphuredAt ? [`Sulphured ${sayWhen(sulphuredAt, now.value)}`] : [])].map((s) => `${s}.`).join(' ')
})
/** How often it was filled, and how long its next wine may stay. */
const wood = computed(() => {
  if (!isBarrel.value) return undefined
  const fills = (v.value.fillsBefore ?? 0) + (v.value.fills ?? 0) - (v.value.lotId ? 1 : 0)
  const time = woodTime(Math.max(1, v.value.capacityL), fills)
  const held = fills === 0 ? 'New wood' : fills >= NEUTRAL_FILLS ? 'Old wood' : fills === 1 ? 'Held one wine' : `Held ${fills} wines`
  return time
    ? `${held}: ${v.value.lotId ? 'about' : 'keep a wine in it for about'} ${weeks(time.weeks)} at most`
    : `${held}: it gives hardly any oak taste`
})
const swell = computed(() => (wantsSwelling(v.value, now.value) && !v.value.retiredAt ? saySwelling(!v.value.used) : undefined))
</script>

<template>
  <li>
    <span class="drawing">
      <VesselDrawing
        :kind="v.kind"
        :capacity-l="v.capacityL"
        :litres="v.litres"
        :colour="lot ? wineColour(lot) : undefined"
        :px-per-dm="9"
      />
    </span>
    <span class="who">
      <b class="display">{{ v.name }}</b>
      <span v-if="made !== v.name" class="soft small">{{ made }}</span>
      <span v-if="wood" class="soft small">{{ wood }}</span>
    </span>
    <span class="figure">
      {{ v.litres > 0 ? f.volumes(v.litres, v.capacityL, 'of') : f.words(f.volume(v.capacityL))
      }}<small v-if="v.litres > 0" class="head soft">{{ f.words(f.volume(Math.max(0, v.capacityL - v.litres))) }} of air</small>
    </span>
    <span v-if="lot" class="grid gap-1">
      <NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ lot.name }}</NuxtLink>
      <span v-if="v.filledAt" class="soft small">since {{ sayWhen(v.filledAt, now) }}</span>
    </span>
    <span v-else class="care">
      <span class="soft small">{{ past }}</span>
      <span v-if="swell" class="small">{{ swell }}</span>
      <span class="acts">
        <template v-if="v.retiredAt">
          <UButton variant="link" :aria-label="`${v.name} is in use again`" @click="emit('retire', false)">Use it again</UButton>
        </template>
        <template v-else>
          <UButton
            v-if="!v.cleanedAt && !v.sanitisedAt"
            variant="link"
            :aria-label="`${v.name} was cleaned`"
            @click="emit('care', 'cleaned')"
          >
            Cleaned
          </UButton>
          <UButton v-else-if="!v.sanitisedAt" variant="link" :aria-label="`${v.name} was sanitised`" @click="emit('care', 'sanitised')">
            Sanitised
          </UButton>
          <template v-if="isBarrel">
            <UButton v-if="swell" variant="link" :aria-label="`${v.name} was swelled`" @click="emit('care', 'swelled')">Swelled</UButton>
            <UButton v-if="v.used" variant="link" :aria-label="`${v.name} was sulphured`" @click="emit('care', 'sulphured')"
            >Sulphured</UButton
            >
          </template>
          <UButton v-if="v.used" variant="link" :aria-label="`Put ${v.name} out of use`" @click="emit('retire', true)">Out of use</UButton>
          <UButton v-else variant="link" :aria-label="`Take ${v.name} off the shelf`" @click="emit('remove')">Remove</UButton>
        </template>
      </span>
    </span>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 70px minmax(7rem, 0.8fr) minmax(0, 8rem) minmax(0, 1.4fr);
  gap: 16px;
  align-items: center;
  border-top: 1.5px solid var(--line);
  padding: 10px 0;
}
.drawing {
  display: grid;
  place-items: center;
}
.who {
  display: grid;
  overflow-wrap: anywhere;
}
/* Air over the wine, where wine is. */
.head {
  display: block;
  font-family: var(--font-sans);
  font-weight: 400;
  font-size: 0.82rem;
}
.care {
  display: grid;
  justify-items: start;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
.acts :deep(button) {
  padding-inline: 0;
  min-height: 44px;
}
@media (max-width: 720px) {
  li {
    grid-template-columns: 60px minmax(0, 1fr) auto;
  }
  li > :nth-child(4) {
    grid-column: 2 / -1;
  }
}
</style>
