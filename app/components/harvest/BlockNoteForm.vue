<script setup lang="ts">
import type { BlockState } from '~~/core/ledger'
import { useLogged } from '~/composables/useLogged'

/** What argues for or against waiting and no instrument reads: rain, wasps, hands. */
defineProps<{ block: BlockState }>()
const logged = useLogged()
</script>

<template>
  <EntryForm :key="block.id" type="block-noted" :given="{ blockId: block.id }" send="Save note" @done="logged('Noted')" />
</template>
