<script setup lang="ts">
import { smallPhoto } from '~/composables/smallPhoto'
/** A small picture, kept in the ledger as a JPEG. */
defineProps<{ label: string }>()
const photo = defineModel<string>({ required: true })
const file = ref<File | null>(null)
const problem = ref<string>()

watch(file, async (is) => {
  if (!is) return
  const small = await smallPhoto(is)
  photo.value = small ?? ''
  problem.value = small ? undefined : 'This browser cannot read this picture.'
  file.value = null
})
</script>

<template>
  <UFormField :label="label" :error="problem" class="flex-none">
    <div class="flex items-center gap-3">
      <UFileUpload v-slot="{ open }" v-model="file" accept="image/*" :preview="false">
        <UButton variant="outline" color="neutral" icon="i-lucide-camera" class="h-[50px]" @click="open()">{{
          photo ? 'Another picture' : 'Add a picture'
        }}</UButton>
      </UFileUpload>
      <img v-if="photo" :src="photo" alt="Your picture" class="h-14 rounded-lg" />
    </div>
  </UFormField>
</template>
