<script setup lang="ts">
import { BUFFERS, calibrate, newMeter, shows } from '~~/practice/instruments'

/** A pH meter with two buffers and the wine. Time passes by a button: nobody is hurried. */
const props = defineProps<{ slope: number, zeroMv: number, ph: number }>()
type Beaker = 'buffer-7' | 'buffer-4' | 'wine'
const BEAKERS: { value: Beaker, label: string, ph: () => number }[] = [
  { value: 'buffer-7', label: 'Buffer 7.01', ph: () => BUFFERS[0] },
  { value: 'buffer-4', label: 'Buffer 4.01', ph: () => BUFFERS[1] },
  { value: 'wine', label: 'The wine', ph: () => props.ph }
]
const meter = shallowRef(newMeter(props.slope, props.zeroMv))
const beaker = ref<Beaker>('buffer-7')
const from = ref(6.2)
const seconds = ref(0)
const inIt = computed(() => BEAKERS.find((b) => b.value === beaker.value)!)
const shown = computed(() => shows(meter.value, inIt.value.ph(), seconds.value, from.value))
const said = ref('')
function move(to: Beaker) {
  from.value = shown.value
  beaker.value = to
  seconds.value = 0
  said.value = `In ${BEAKERS.find((b) => b.value === to)!.label.toLowerCase()}, rinsed.`
}
function press() {
  const buffer = beaker.value === 'buffer-7' ? BUFFERS[0] : BUFFERS[1]
  meter.value = calibrate(meter.value, buffer, shown.value)
  from.value = buffer
  said.value = `Calibrated: it takes this for ${buffer}.`
}
</script>

<template>
  <div class="desk">
    <p class="display figure" role="status" aria-live="polite">{{ shown.toFixed(2) }} <span class="small soft">pH</span></p>
    <p class="soft small">{{ inIt.label }}, {{ seconds }} s. {{ said }}</p>
    <div class="flex flex-wrap gap-2">
      <UButton v-for="b in BEAKERS" :key="b.value" :variant="b.value === beaker ? 'solid' : 'outline'" @click="move(b.value)">
        {{ b.label }}
      </UButton>
    </div>
    <div class="flex flex-wrap gap-2">
      <UButton variant="outline" color="neutral" @click="seconds += 5">Wait 5 seconds</UButton>
      <UButton variant="outline" color="neutral" @click="seconds += 20">Wait 20 seconds</UButton>
      <UButton v-if="beaker !== 'wine'" color="neutral" @click="press">Calibrate here</UButton>
    </div>
  </div>
</template>

<style scoped>
.desk { display: grid; gap: 12px; justify-items: start; }
/* A display of its own: the same in both themes. */
.display { background: #c9d3b8; color: #1d241a; padding: 10px 22px; border-radius: 8px; font-size: 2.6rem; min-width: 9rem; }
.display .soft { color: #3d4736; }
</style>
