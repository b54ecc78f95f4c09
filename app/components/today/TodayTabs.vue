<script setup lang="ts">
import { isFermenting, isHeld } from '~~/core/ledger'
import { useCrushFloor } from '~/composables/useCrushFloor'
import { useWinter } from '~/composables/useWinter'
import { useCellarStore } from '~/stores/cellar'

const crush = useCrushFloor()
const cellar = useCellarStore()
const winter = useWinter()
const ferments = computed(() => cellar.lots.filter((l) => isHeld(l) && isFermenting(l)).length)
const tabs = computed(() => [
  { to: '/', name: 'Now' },
  { to: '/round', name: 'Round', count: ferments.value },
  { to: '/crush', name: 'Crush day', count: crush.lots.value.filter((c) => !c.lot.inoculatedAt).length },
  { to: '/season', name: 'Season' },
  { to: '/winter', name: 'Winter', count: winter.atRisk.value },
  { to: '/harvest', name: 'Before harvest', count: cellar.state.blocks.size }
])
</script>

<template>
  <PlaceTabs label="Today" :tabs="tabs" />
</template>
