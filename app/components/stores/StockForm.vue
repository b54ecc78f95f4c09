<script setup lang="ts">
import type { Entry } from '~~/core/ledger'
import { useLogged } from '~/composables/useLogged'
import { useMaterials } from '~/composables/useMaterials'

/** A package comes into the store. */
const logged = useLogged()
const materials = useMaterials()
const stocked = ([entry]: Entry[]) => {
  if (entry?.type === 'supply-stocked') logged(`${materials.title(entry.material)} is in store`)
}
</script>

<template>
  <section class="stock">
    <h2>Add to store</h2>
    <EntryForm type="supply-stocked" send="Add" tall @done="stocked" />
  </section>
</template>

<style scoped>
.stock {
  display: grid;
  gap: 14px;
}
</style>
