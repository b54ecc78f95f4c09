<script setup lang="ts">
import type { Figure } from '~~/core/ledger'
import type { useMove } from '~/composables/useMove'
import { useFormat } from '~/composables/useFormat'

/** What becomes of a wine that takes another in: its figures before and after, by mass balance and the acid model. */
const props = defineProps<{ blended: NonNullable<ReturnType<typeof useMove>['blended']['value']> }>()
const f = useFormat()
const rows = computed(() => {
  const { before, after } = props.blended
  const row = (what: string, say: (value: number) => { text: string, unit: string }, a: Figure | undefined, b: Figure | undefined) => ({
    what,
    before: a ? f.words(say(a.value)) : 'not known',
    after: b ? f.words(say(b.value)) : 'not known'
  })
  return [
    row('Volume', f.volume, before.volume, after.volume),
    row('pH', (v) => ({ text: v.toFixed(2), unit: '' }), before.ph, after.ph),
    row('TA', f.acid, before.ta, after.ta),
    row('Alcohol', f.percentAlcohol, before.abv, after.abv),
    row('Free SO₂', f.so2, before.freeSo2, after.freeSo2)
  ]
})
</script>

<template>
  <table class="lines">
    <caption>{{ blended.before.name }}, before and after</caption>
    <tbody>
      <tr v-for="r in rows" :key="r.what">
        <th scope="row" class="soft">{{ r.what }}</th>
        <td>{{ r.before }}</td>
        <td><b>{{ r.after }}</b></td>
      </tr>
    </tbody>
  </table>
</template>
