<script setup lang="ts">
import { SPANS } from '~/composables/useAirShow'
import { counted } from '~/wording/count'
import { CAMERA_PROBLEM } from '~/wording/problems'

/** A day's entries from one screen to the other without a network or a file: shown as codes, read by a camera. */
const emit = defineEmits<{ read: [file: File] }>()
const show = useAirShow()
const { days, codes, at, sent, problem: unsent, picture, isActive } = show
const video = ref<HTMLVideoElement | null>(null)
const camera = useAirRead(video, (text) => emit('read', new File([text], 'Entries read from codes', { type: 'application/json' })))
const { reading, have, of, damaged, problem } = camera
</script>

<template>
  <section class="grid gap-3" aria-label="From screen to screen">
    <h3>From screen to screen</h3>
    <p class="soft">
      Without a network or a file: one device shows what you logged lately as a run of codes, the other reads them with its camera. You see
      what is new before anything is imported.
    </p>
    <div v-if="codes" class="grid gap-3">
      <!-- Dark dots on white in both themes, so that a camera finds them. -->
      <img class="code" :src="picture" :alt="`Code ${at + 1} of ${codes.length}`">
      <p>
        Code {{ at + 1 }} of {{ codes.length }}: {{ counted(sent.entries, 'entry', 'entries') }}.
        <template v-if="sent.pictures">
          {{ counted(sent.pictures, 'entry', 'entries') }} with a picture {{ sent.pictures === 1 ? 'is' : 'are' }} too large for this:
          export the cellar to carry {{ sent.pictures === 1 ? 'it' : 'them' }}.
        </template>
        Hold the other camera so that the whole code is in its picture.
      </p>
      <div class="flex flex-wrap gap-3">
        <template v-if="codes.length > 1">
          <UButton v-if="isActive" size="lg" variant="outline" icon="i-lucide-pause" @click="show.pause()">Pause</UButton>
          <template v-else>
            <UButton size="lg" variant="outline" icon="i-lucide-play" @click="show.resume()">Play</UButton>
            <UButton size="lg" variant="outline" @click="show.next()">Next code</UButton>
          </template>
        </template>
        <UButton size="lg" @click="show.end()">Done</UButton>
      </div>
    </div>
    <div v-else-if="reading" class="grid gap-3">
      <video ref="video" class="seen" muted playsinline aria-label="What the camera sees" />
      <p role="status">
        {{ of ? `${have} of ${counted(of, 'code')} read.` : 'Point the camera at the code. It has to be in the picture as a whole.' }}
        {{ damaged ? 'The codes did not fit together. Presk is reading them again.' : '' }}
      </p>
      <UProgress v-if="of" :model-value="have" :max="of" aria-label="Codes read" />
      <UButton class="justify-self-start" size="lg" variant="outline" @click="camera.end()">Stop</UButton>
    </div>
    <template v-else>
      <OneOfRow v-model="days" label="What to show" :items="SPANS" />
      <div class="flex flex-wrap gap-3">
        <UButton size="lg" variant="outline" icon="i-lucide-qr-code" @click="show.show()">Show codes</UButton>
        <UButton size="lg" variant="outline" icon="i-lucide-camera" @click="camera.start()">Read codes</UButton>
      </div>
      <p v-if="unsent === 'nothing'" role="status">Nothing was logged in that time.</p>
      <p v-if="unsent === 'too-much'" class="message" role="alert">
        {{ counted(sent.entries, 'entry', 'entries') }} are too many for codes. Choose fewer days, or export the cellar and take the file.
      </p>
      <p v-if="problem" class="message" role="alert">{{ CAMERA_PROBLEM[problem] }}</p>
    </template>
  </section>
</template>

<style scoped>
.code {
  width: min(100%, 460px);
  background: #fff;
  padding: 8px;
  border-radius: 10px;
}
.seen {
  width: min(100%, 460px);
  border-radius: 10px;
  background: #000;
}
</style>
