<script setup lang="ts">
/** A file to bring in: chosen or dropped. It is read where it is asked for. */
defineProps<{ label: string, hint: string, accept: string }>()
const emit = defineEmits<{ chosen: [file: File] }>()
const file = ref<File | null>(null)
watch(file, (is) => {
  if (!is) return
  emit('chosen', is)
  file.value = null
})
</script>

<template>
  <UFormField :label="label" :help="hint">
    <UFileUpload
      v-model="file"
      :accept="accept"
      icon="i-lucide-file-up"
      label="Choose a file, or drop it here"
      :preview="false"
      class="w-full min-h-24"
    />
  </UFormField>
</template>
