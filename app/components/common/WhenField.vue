<script setup lang="ts">
/** When it happened: now, unless the person says otherwise. An ISO instant, or nothing for now. */
const at = defineModel<string | undefined>({ required: true })
const open = ref(false)
const id = useId()

/** The browser's own field speaks local time without a zone. */
const local = computed({
  get: () => {
    const d = at.value ? new Date(at.value) : new Date()
    return new Date(d.getTime() - d.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
  },
  set: (value: string) => {
    const d = new Date(value)
    at.value = Number.isNaN(d.getTime()) ? undefined : d.toISOString()
  }
})
const ahead = computed(() => at.value !== undefined && Date.parse(at.value) > Date.now() + 60_000)
function backToNow() {
  at.value = undefined
  open.value = false
}
</script>

<template>
  <div class="when">
    <button v-if="!open" type="button" class="textlink small" @click="open = true">It happened earlier</button>
    <template v-else>
      <label :for="id" class="small">When</label>
      <input :id="id" v-model="local" type="datetime-local">
      <button type="button" class="textlink small" @click="backToNow">now</button>
      <p v-if="ahead" class="message" role="alert">That is still to come. Check the date, or this device’s clock.</p>
    </template>
  </div>
</template>

<style scoped>
.when { display: flex; flex-wrap: wrap; align-items: center; gap: 10px; min-height: 44px; }
input { min-height: 44px; padding: 0 10px; border: 1.5px solid var(--line-strong); border-radius: var(--radius-control); background: var(--sheet); color: var(--ink); }
.textlink { min-height: 44px; }
</style>
