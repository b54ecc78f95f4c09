<script setup lang="ts">
import type { Entry, EntryOf } from '~~/core/ledger'
import { capital } from '~/wording/findings/say'
import { planParts } from '~/wording/plan'
import { STREAM, STYLE } from '~/wording/terms'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** Plans that are kept under a name: which wine the next lot of a kind is for, and by which methods. */
const cellar = useCellarStore()
const logged = useLogged()
const plans = computed(() => [...cellar.state.plans.values()].toReversed())
const kindOf = ({ style, stream, fromLotId }: EntryOf<'plan-kept'>): string => {
  const lot = fromLotId && cellar.lotOf(fromLotId)
  return `${STYLE[style]}, ${STREAM[stream].toLowerCase()}${lot ? `, from ${lot.name}` : ''}`
}
const kept = ([entry]: Entry[]) => {
  if (entry?.type === 'plan-kept') logged(`Plan “${entry.name}” kept`)
}
useHead({ title: 'Plans · Presk' })
</script>

<template>
  <div>
    <PageHead title="Kept plans" lead="Which wine you are making, and by which methods. Choose one when you start a lot." />
    <div class="beside">
      <section aria-label="Kept plans">
        <p v-if="plans.length === 0" class="soft">
          No plans yet. Enter one here, or keep the plan of a lot that went well: open “Plan” on its page.
        </p>
        <ul v-else>
          <OwnEntry
            v-for="p in plans"
            :key="p.planId"
            :fact="p"
            :name="p.name"
            change="Change"
            gone="Plan deleted"
            @changed="logged('Plan changed')"
          >
            <span class="soft small block">{{ kindOf(p) }}</span>
            <span class="block">{{ capital(planParts(p.plan).join('; ')) || 'As usual' }}</span>
          </OwnEntry>
        </ul>
      </section>
      <aside class="sheet p-5 grid gap-3.5">
        <h2>New plan</h2>
        <EntryForm type="plan-kept" send="Keep plan" tall @done="kept" />
      </aside>
    </div>
  </div>
</template>
