<script setup lang="ts">
import type { BlockState } from '~~/core/ledger'

/** A sample of a block: berries, Brix, pH, TA and taste, in one line of fields. */
defineProps<{ block: BlockState }>()
const logged = useLogged()
</script>

<template>
  <section class="sheet p-5 grid gap-3.5">
    <h3>A new sample</h3>
    <EntryForm
      :key="block.id"
      type="block-sampled"
      :given="{ blockId: block.id }"
      send="Log the sample"
      dated
      @done="logged(`Sample of ${block.name} logged`)"
    />
    <p class="soft small">
      40 to 50 berries from all over the block, shade and sun, top and bottom of the bunch: few berries scatter much.
    </p>
  </section>
</template>
