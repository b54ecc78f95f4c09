<script setup lang="ts">
import { sayDate } from '~/wording/days'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** The packages of one material; what is left can be counted and set right. */
const props = defineProps<{ material: string }>()
const cellar = useCellarStore()
const f = useFormat()
const logged = useLogged()
const stock = computed(() => cellar.state.stock.get(props.material))
const counting = ref<string>()
const amount = (g: number) => (stock.value && stock.value.unit !== 'g' ? `${g.toFixed(0)} ${stock.value.unit}` : f.words(f.powder(g)))
function counted() {
  logged('Counted')
  counting.value = undefined
}
</script>

<template>
  <ul v-if="stock" class="packages">
    <li v-for="p in stock.packages" :key="p.id">
      <span>
        <b>{{ amount(p.left) }}</b> left of {{ amount(p.amount) }}
        <span class="soft small">
          {{ p.opened ? `opened ${sayDate(p.opened)}` : 'unopened' }}{{ p.expires ? `, good until ${sayDate(p.expires)}` : ''
          }}{{ p.note ? `, ${p.note}` : '' }}
        </span>
      </span>
      <UButton v-if="counting !== p.id" variant="link" :aria-label="`Count what is left of ${amount(p.amount)}`" @click="counting = p.id"
      >Count</UButton
      >
      <EntryForm v-else type="supply-counted" :given="{ supplyId: p.id }" send="Save count" @done="counted" />
    </li>
  </ul>
</template>

<style scoped>
.packages li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 16px;
  align-items: center;
  border-top: 1.5px solid var(--line);
  padding: 6px 0;
}
</style>
