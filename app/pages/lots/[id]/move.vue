<script setup lang="ts">
import type { MoveAs } from '~~/core/benches'
import { isFermenting, isHeld } from '~~/core/ledger'
import { isOnSkins } from '~~/core/stages'
import { AIR, AIR_BECAUSE, MOVE_AS, MOVE_TITLE } from '~/wording/moving'
import { focusWrong } from '~/composables/focusWrong'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'
import { useMove } from '~/composables/useMove'

/** Moving wine: rack, split, top up, combine. One form that fits the case, with the shelf before and after beside it. */
const route = useRoute()
const f = useFormat()
const logged = useLogged()
const move = useMove(String(route.params.id))
const { lot, as, ours, ourItems, held, expectedL, leftL, isLees, air, advice, wrong, blended, refused, shelf, nameOf } = move
const saving = ref(false)
const cases = (Object.keys(MOVE_AS) as MoveAs[]).map((value) => ({ value, ...MOVE_AS[value] }))
const airs = computed(() => (Object.keys(AIR) as (keyof typeof AIR)[]).map((value) => ({ value, ...AIR[value] })))
const LEFT = [
  { value: true, label: 'Lees', hint: 'poured away' },
  { value: false, label: 'Wine', hint: 'stays where it is' }
]
const OWN = [
  { value: false, label: 'The same lot', hint: 'in two vessels' },
  { value: true, label: 'A new lot', hint: 'with its own history from here' }
]
const errorOf = (field: string) => (wrong.value?.field === field ? wrong.value.reason : undefined)
const DONE: Record<MoveAs, string> = { 'rack': 'racked', 'split': 'split', 'top-up': 'topped up', 'combine': 'combined' }
async function log() {
  if (!lot.value) return
  saving.value = true
  const done = await move.log()
  saving.value = false
  if (!done) return focusWrong()
  logged(`${lot.value.name}: ${DONE[as.value]}`)
  await navigateTo(`/lots/${lot.value.id}`)
}
useHead({ title: () => `${MOVE_AS[as.value].label} ${lot.value?.name ?? ''} · Presk` })
</script>

<template>
  <p v-if="!lot">This cellar has no such lot. <NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  <form v-else class="beside" novalidate @submit.prevent="log">
    <section class="grid gap-6 content-start">
      <div>
        <p class="soft">
          <NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ lot.name }}</NuxtLink>
        </p>
        <h1>{{ MOVE_TITLE[as](lot.name) }}</h1>
      </div>
      <p v-if="!isHeld(lot)" class="soft">This lot holds no wine any more.</p>
      <template v-else>
        <ChoiceTiles v-model="as" legend="What are you doing?" :items="cases" :least="150" />
        <p v-if="isFermenting(lot) && isOnSkins(lot)">
          It is on its skins. Log free run and press wine on
          <NuxtLink :to="`/lots/${lot.id}/press`" class="textlink">press day</NuxtLink>.
        </p>

        <template v-if="as === 'rack' || as === 'split'">
          <SelectField v-if="ourItems.length > 1" v-model="ours" label="From" :items="ourItems" />
          <p>
            {{ f.words(f.volume(held)) }} in {{ nameOf(ours)
            }}<template v-if="as === 'rack'"
            >; about <b class="figure">{{ f.words(f.volume(expectedL)) }}</b> expected net of lees</template
            >.
          </p>
          <MoveRows :move="move" />
          <ChoiceTiles
            v-if="leftL > 0.05 && move.inAll.value > 0"
            v-model="isLees"
            :legend="`${f.words(f.volume(leftL))} left in ${nameOf(ours)} is`"
            :items="LEFT"
          />
          <template v-if="as === 'split'">
            <ChoiceTiles v-model="move.ownLot.value" legend="This part becomes" :items="OWN" :least="190" />
            <TextField v-if="move.ownLot.value" v-model="move.ownName.value" label="Name" :maxlength="80" :error="errorOf('ownName')" />
          </template>
        </template>

        <template v-else-if="as === 'top-up'">
          <SelectField v-if="ourItems.length > 1" v-model="ours" label="Vessel to top up" :items="ourItems" />
          <p>
            <b class="figure">{{ f.words(f.volume(move.topRoom.value)) }}</b> of air over {{ f.words(f.volume(held)) }} in
            {{ nameOf(ours) }}.
          </p>
          <p v-if="move.toppers.value.length === 0" class="soft">
            There is no other wine to top up with. You can use a sound bought wine like it: start a lot for it. Or use marbles, or a
            smaller vessel.
          </p>
          <template v-else>
            <SelectField
              v-model="move.topper.value"
              label="With"
              :items="move.toppers.value"
              placeholder="choose a wine, most similar first"
              :error="errorOf('topper')"
            />
            <MeetingNotes :parts="move.meeting.value" />
            <QuantityField label="Amount added" :field="move.topL" :error="errorOf('topL')" />
          </template>
        </template>

        <template v-else>
          <SelectField v-if="ourItems.length > 1" v-model="ours" label="From" :items="ourItems" />
          <p v-else>{{ f.words(f.volume(held)) }} in {{ nameOf(ours) }}.</p>
          <p v-if="move.partners.value.length === 0" class="soft">There is no other lot to blend into.</p>
          <template v-else>
            <SelectField
              v-model="move.partner.value"
              label="Into"
              :items="move.partners.value"
              placeholder="choose a lot"
              :error="errorOf('partner')"
            />
            <MeetingNotes :parts="move.meeting.value" />
            <QuantityField label="Amount moved" :field="move.combineL" :error="errorOf('combineL')" />
            <ChoiceTiles
              v-if="(move.combineL.value ?? 0) > 0 && held - (move.combineL.value ?? 0) > 0.05"
              v-model="isLees"
              :legend="`${f.words(f.volume(held - (move.combineL.value ?? 0)))} left in ${nameOf(ours)} is`"
              :items="LEFT"
            />
          </template>
        </template>

        <div class="grid gap-2">
          <ChoiceTiles v-model="air" legend="Air" :items="airs" :least="170" />
          <p v-if="advice" class="soft small">{{ AIR_BECAUSE[advice.because] }}</p>
          <FindingNote v-if="advice && air === 'splashed' && advice.air === 'quiet'" tone="ask">
            It has no smell that air would remove.
          </FindingNote>
        </div>
        <MoveSulphite v-if="as === 'rack'" :move="move" />
        <FindingNote v-for="r in refused" :key="r" tone="stop">{{ r }}</FindingNote>
        <UButton type="submit" size="xl" class="justify-self-start" :loading="saving">Log it</UButton>
      </template>
    </section>
    <aside v-if="isHeld(lot)" class="grid gap-4 content-start" aria-live="polite">
      <h2>Before and after</h2>
      <p v-if="shelf.length === 0" class="soft small">Choose where it goes, and Presk draws it here.</p>
      <MoveShelf :move="move" />
      <MoveBlended v-if="blended" :blended="blended" />
      <CautionNote code="fullGlass" />
    </aside>
  </form>
</template>
