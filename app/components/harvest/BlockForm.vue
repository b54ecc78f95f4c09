<script setup lang="ts">
import type { Entry } from '~~/core/ledger'
import { useLogged } from '~/composables/useLogged'

const logged = useLogged()
async function watched([entry]: Entry[]) {
  if (entry?.type !== 'block-added') return
  logged(`${entry.name} added`)
  await navigateTo(`/harvest?block=${entry.blockId}`)
}
</script>

<template>
  <section class="sheet p-5 grid gap-3.5">
    <h2>Add a block</h2>
    <EntryForm type="block-added" send="Add" tall @done="watched" />
  </section>
</template>
