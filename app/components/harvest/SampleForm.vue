<script setup lang="ts">
import type { BlockState } from '~~/core/ledger'
import { useLogged } from '~/composables/useLogged'

/** A sample of a block: berries, Brix, pH, TA and taste, in one line of fields. */
defineProps<{ block: BlockState }>()
const logged = useLogged()
</script>

<template>
  <section class="sheet p-5 grid gap-3.5">
    <h3>New sample</h3>
    <EntryForm
      :key="block.id"
      type="block-sampled"
      :given="{ blockId: block.id }"
      send="Log sample"
      dated
      @done="logged(`Sample of ${block.name} logged`)"
    />
    <p class="soft small">
      Take 40 to 50 berries from all over the block, sun and shade, top and bottom of the bunch. Fewer berries give less reliable figures.
    </p>
  </section>
</template>
