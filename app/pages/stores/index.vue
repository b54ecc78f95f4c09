<script setup lang="ts">
// What runs short is what somebody comes here for.
definePageMeta({ redirect: '/stores/supplies' })
</script>

<template>
  <div />
</template>
