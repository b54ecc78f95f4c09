<script setup lang="ts">
import { CAUTIONS, type CautionCode } from '~/wording/cautions'
import { useFormat } from '~/composables/useFormat'

defineProps<{ code: CautionCode }>()
const f = useFormat()
</script>

<template>
  <UAlert color="warning" variant="subtle" :ui="{ root: 'border-l-[5px]' }">
    <template #description><strong>Take care.</strong> {{ f.degrees(CAUTIONS[code]) }}</template>
  </UAlert>
</template>
