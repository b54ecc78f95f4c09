<script setup lang="ts">
import type { Entry, EntryOf } from '~~/core/ledger'
import type { MaterialCard } from '~~/core/materials'
import { MATERIAL_KIND } from '~/wording/materials'
import { CLOSURE } from '~/wording/terms'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** Cards of one's own, from the packets: what they say, and what they leave open. */
const cellar = useCellarStore()
const logged = useLogged()
const f = useFormat()

const made = computed(() => cellar.facts.flatMap(({ fact, struck }) => (fact.type === 'card-made' && !struck ? [fact] : [])))
const cardOf = (fact: EntryOf<'card-made'>) => cellar.state.cards.get(fact.cardId)
/** What the card says, in a line; what the packet left open is said as such. */
function says(card: MaterialCard): string {
  const { culture, dose, limit, effect } = card
  const parts = [
    culture?.temperatureC &&
      `works from ${f.temperature(culture.temperatureC.min).text} to ${f.words(f.temperature(culture.temperatureC.max))}`,
    culture?.toleranceAbv !== undefined && `tolerates ${culture.toleranceAbv} % vol`,
    culture?.nitrogenNeed && `${culture.nitrogenNeed} nitrogen need`,
    effect.on === 'nitrogen' && `${effect.mgPerG} mg of nitrogen in a gram`,
    effect.on === 'sugar' && `${Math.round(effect.sugarShare * 100)} % sugar`,
    card.bottle &&
      `${card.bottle.ml} mL, ${card.bottle.ratedBar > 0 ? `up to ${f.words(f.pressure(card.bottle.ratedBar))}` : 'for still wine'}`,
    card.closes && `closes like a ${CLOSURE[card.closes].toLowerCase()}`,
    dose?.source === 'packet' && `${dose.min}${dose.max > dose.min ? ` to ${dose.max}` : ''} ${card.unit}/L`,
    limit && `at most ${limit.perL} ${card.unit}/L`,
    card.allergen && `allergen: ${card.allergen}`
  ].filter((part) => typeof part === 'string')
  return parts.length > 0 ? parts.join(', ') : 'no other details: Presk uses the usual values'
}
const noted = ([entry]: Entry[]) => {
  if (entry?.type === 'card-made') logged(`${entry.name}: card saved`)
}
useHead({ title: 'Cards · Presk' })
</script>

<template>
  <div>
    <StoresTabs />
    <div class="beside">
      <section>
        <h1>Your own cards</h1>
        <p class="soft measure">
          Yeasts, nutrients, cultures, fining agents, oak, sugars, bottles and closures as your packets describe them. Presk offers them
          wherever you choose one, and uses their figures. Leave open what the packet does not say.
        </p>
        <p v-if="made.length === 0" class="soft mt-6">
          No cards yet. Take a packet and copy what it says.
        </p>
        <ul v-else class="mt-4">
          <OwnEntry
            v-for="fact in made"
            :key="fact.id"
            :fact="fact"
            :name="fact.name"
            change="Correct"
            gone="Card deleted"
            @changed="logged(`${fact.name}: card corrected`)"
          >
            <span class="soft small block">
              {{ MATERIAL_KIND[fact.kind] }}: {{ cardOf(fact) ? says(cardOf(fact)!) : '' }}{{ fact.note ? `. ${fact.note}` : '' }}
            </span>
          </OwnEntry>
        </ul>
      </section>
      <aside class="sheet p-5 grid gap-3.5">
        <h2>From the packet</h2>
        <EntryForm type="card-made" send="Save card" tall @done="noted" />
      </aside>
    </div>
  </div>
</template>

<style scoped>
.measure {
  max-width: var(--measure);
}
</style>
