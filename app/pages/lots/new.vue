<script setup lang="ts">
import { STREAM, STREAM_HINT, STYLE } from '~/wording/terms'
import { capital } from '~/wording/findings/say'
import { planParts } from '~/wording/plan'
import { choices } from '~/forms/spec'
import { type NewStream, useNewLot } from '~/composables/useNewLot'

const lot = useNewLot()
const {
  stream,
  style,
  name,
  nameTouched,
  nameMessage,
  byMass,
  arrivesAs,
  unweighed,
  mass,
  volume,
  packets,
  kitTarget,
  kitLine,
  cans,
  inCans,
  vintage,
  vintageMessage,
  planLike,
  plans,
  unusual,
  origin,
  saving,
  at,
  onSkins,
  sulphited,
  mayBeSulphited
} = lot
const STREAMS = (Object.entries(STREAM_HINT) as [NewStream, string][]).map(([value, hint]) => ({ value, label: STREAM[value], hint }))
const VOLUME_OF = { crushed: 'juice and skins together', kit: 'in the pail now, before adding water' }
const SKINS = [
  { value: true, label: 'Must on its skins' },
  { value: false, label: 'Juice only' }
]
const SULPHITED = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
  { value: 'unknown', label: 'I do not know', hint: 'Presk assumes some' },
  { value: 'later', label: 'Ask me later' }
] as const
useHead({ title: 'Start a lot · Presk' })
</script>

<template>
  <form novalidate class="new" @submit.prevent="lot.start()">
    <h1>Start a lot</h1>
    <ChoiceTiles v-model="stream" legend="What arrived?" :items="STREAMS" :least="220" />
    <ChoiceTiles v-if="stream === 'frozen'" v-model="onSkins" legend="What is in the pails?" :items="SKINS" />
    <ChoiceTiles v-model="style" legend="What are you making?" :items="choices(STYLE)" :least="90" />
    <div class="fieldgrid">
      <TextField
        v-model="name"
        label="Name"
        placeholder="the variety, or what you call it"
        :error="nameMessage"
        @focusout="nameTouched = true"
      />
      <QuantityField
        v-if="byMass"
        label="Fruit"
        :field="mass"
        :hint="stream === 'test' ? 'usually five kilograms' : 'weight with stems'"
      />
      <QuantityField
        v-else-if="!inCans"
        :label="arrivesAs === 'crushed' ? 'Crushed must' : 'Volume'"
        :field="volume"
        :hint="VOLUME_OF[arrivesAs as keyof typeof VOLUME_OF] ?? 'all pails together'"
      />
      <UButton v-if="stream === 'fresh'" variant="link" class="px-0 self-start justify-self-start" @click="unweighed = !unweighed">
        {{ unweighed ? 'Enter the weight of the fruit' : 'Not weighed? Enter the volume of the crushed must' }}
      </UButton>
      <UButton v-if="stream === 'kit'" variant="link" class="px-0 self-start justify-self-start" @click="cans.inCans.value = !inCans">
        {{ inCans ? 'Enter the volume in the pail' : 'Concentrate in cans? Enter how many' }}
      </UButton>
    </div>
    <LastTime :name="name" :stream="stream" :style="style" />
    <CansFields v-if="inCans" :cans="cans" :target="kitTarget" :leaflet="kitLine" />
    <NewLotExpect :lot="lot" />
    <KitFields v-if="stream === 'kit'" v-model="packets" :packets-only="inCans" :target="kitTarget" :line="kitLine" />
    <ChoiceTiles v-if="mayBeSulphited" v-model="sulphited" legend="Did it come with sulphite?" :items="SULPHITED" :least="130" />
    <NewLotVessel :lot="lot" />
    <div v-if="plans.length > 1" class="fieldgrid">
      <SelectField v-model="planLike" label="Plan" :items="plans" hint="You can change it on the lot’s page." />
      <p class="soft self-end">
        <template v-if="planParts(unusual).length">{{ capital(planParts(unusual).join('; ')) }}.</template>
        <NuxtLink to="/lots/plans" class="textlink block">Kept plans</NuxtLink>
      </p>
    </div>
    <FoldOut label="Vintage and origin">
      <div class="fieldgrid">
        <TextField v-model="vintage" label="Vintage" :maxlength="4" :error="vintageMessage" inputmode="numeric" />
        <TextField v-model="origin" label="Origin" :maxlength="120" />
      </div>
    </FoldOut>
    <WhenField v-model="at" label="It arrived" />
    <CautionNote v-if="byMass" code="lifting" />
    <div class="go">
      <UButton type="submit" size="xl" :loading="saving">Start the lot</UButton><NuxtLink to="/lots" class="textlink">Not now</NuxtLink>
    </div>
  </form>
</template>

<style scoped>
.new {
  max-width: 860px;
  display: grid;
  gap: 24px;
}
.go {
  display: flex;
  align-items: center;
  gap: 24px;
}
</style>
