<script setup lang="ts">
import { CAUTIONS, type CautionCode } from '~/wording/cautions'

defineProps<{ code: CautionCode }>()
</script>

<template>
  <p class="caution"><strong>Take care.</strong> {{ CAUTIONS[code] }}</p>
</template>

<style scoped>
.caution { background: var(--caution-wash); color: var(--ink); border-left: 5px solid var(--caution); padding: 10px 14px; border-radius: 4px 10px 10px 4px; font-size: 0.95rem; }
strong { color: var(--caution); }
</style>
