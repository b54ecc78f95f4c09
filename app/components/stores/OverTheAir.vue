<script setup lang="ts">
import { DAYS_SHOWN, useAirShow } from '~/composables/useAirShow'
import { counted } from '~/wording/count'
import { CAMERA_PROBLEM } from '~/wording/problems'
import { useAirRead } from '~/composables/useAirRead'

/** A day's entries from one screen to the other without a network or a file: shown as codes, read by a camera. */
const emit = defineEmits<{ read: [file: File] }>()
const show = useAirShow()
const { days, codes, at, sent, problem: unsent, picture, isActive } = show
const video = ref<HTMLVideoElement | null>(null)
const camera = useAirRead(video, (text) => emit('read', new File([text], 'Entries read from codes', { type: 'application/json' })))
const { reading, have, of, damaged, problem } = camera
function read() {
  show.end()
  void camera.start()
}
</script>

<template>
  <section class="grid gap-3" aria-label="From screen to screen">
    <h3>From screen to screen</h3>
    <p class="soft">
      No network or file needed: one device shows your recent entries as a series of QR codes, and the other reads them with its camera. You
      see what is new before anything is imported.
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
        Point the other device’s camera at it, with the whole code in view.
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
        {{ of ? `${have} of ${counted(of, 'code')} read.` : 'Point the camera at the codes. Keep the whole code in view.' }}
        {{ damaged ? 'The codes did not match each other. Presk is reading them again.' : '' }}
      </p>
      <UProgress v-if="of" :model-value="have" :max="of" aria-label="Codes read" />
      <UButton class="justify-self-start" size="lg" variant="outline" @click="camera.end()">Stop</UButton>
    </div>
    <template v-else>
      <OneOfRow v-model="days" label="What to show" :items="DAYS_SHOWN" />
      <div class="flex flex-wrap gap-3">
        <UButton size="lg" variant="outline" icon="i-lucide-qr-code" @click="show.show()">Show codes</UButton>
        <UButton size="lg" variant="outline" icon="i-lucide-camera" @click="read">Read codes</UButton>
      </div>
      <p v-if="unsent === 'nothing'" role="status">You logged nothing in that time.</p>
      <p v-if="unsent === 'too-much'" class="message" role="alert">
        {{ counted(sent.entries, 'entry', 'entries') }} are too many for QR codes. Choose fewer days, or export the cellar
        and copy the file across.
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
