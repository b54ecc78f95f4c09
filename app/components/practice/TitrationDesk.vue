<script setup lang="ts">
import { iodineLook, lookAt } from '~~/practice/instruments'
import type { IodineSample, TitrationSample } from '~~/practice/instruments'

/** A burette over a glass: millilitres go in, the colour says when to stop. For acid by base, and for free SO₂ by iodine. */
const props = defineProps<{ acid?: TitrationSample, iodine?: IodineSample }>()
const emit = defineEmits<{ used: [ml: number] }>()
const used = ref(0)
const look = computed(() => (props.acid ? lookAt(props.acid, used.value) : iodineLook(props.iodine!, used.value)))
/** Colours of liquids, the same in both themes; said in words beside them. */
const SEEN: Record<string, { fill: string, said: string }> = {
  'white-start': { fill: '#e8dd9f', said: 'Straw yellow, no pink.' },
  'white-near': { fill: '#eed9b0', said: 'A pink cloud where each drop falls, gone when swirled.' },
  'white-end': { fill: '#f1c3b8', said: 'A faint pink stays.' },
  'white-over': { fill: '#d8508f', said: 'Bright magenta.' },
  'red-start': { fill: '#8a1c3c', said: 'Red.' },
  'red-darker': { fill: '#6b3446', said: 'Dull, purplish.' },
  'red-near': { fill: '#5b4a52', said: 'Grey-brown, with a green cloud where each drop falls.' },
  'red-end': { fill: '#4d6156', said: 'Grey-green all over.' },
  'red-over': { fill: '#2c4f45', said: 'Dark bottle green.' },
  'iodine-clear': { fill: '#9c2f4a', said: 'Wine red; the drops vanish at once.' },
  'iodine-flash': { fill: '#8b2c48', said: 'A dark flash where each drop falls, gone at once.' },
  'iodine-fades': { fill: '#4a2b4e', said: 'Dark all over for some seconds, then it fades.' },
  'iodine-stays': { fill: '#241a36', said: 'Blue-black, and it stays.' }
}
const seen = computed(() => SEEN[`${props.acid ? props.acid.colour : 'iodine'}-${look.value}`]!)
const STEPS = [1, 0.5, 0.1, 0.05] as const
function add(ml: number) {
  used.value = Math.round((used.value + ml) * 100) / 100
  emit('used', used.value)
}
function again() {
  used.value = 0
  emit('used', 0)
}
</script>

<template>
  <div class="bench">
    <svg viewBox="0 0 200 260" role="img" :aria-label="`The glass: ${seen.said}`">
      <rect x="88" y="0" width="24" height="150" class="glass" />
      <rect x="88" :y="Math.min(148, used * 9)" width="24" :height="Math.max(0, 150 - used * 9)" class="titrant" />
      <path d="M97 150 h6 l-1 16 h-4 z" class="glass" />
      <path d="M58 176 h84 l14 72 a8 8 0 0 1 -8 8 H52 a8 8 0 0 1 -8 -8 z" class="glass" />
      <path d="M52 206 h96 l8 42 a8 8 0 0 1 -8 8 H52 a8 8 0 0 1 -8 -8 z" :fill="seen.fill" />
    </svg>
    <div class="grid gap-3 content-start justify-items-start">
      <p><b class="figure used">{{ used.toFixed(2) }}</b> mL used</p>
      <p role="status" aria-live="polite" class="said">{{ seen.said }}</p>
      <div class="flex flex-wrap gap-2">
        <UButton v-for="ml in STEPS" :key="ml" variant="outline" color="neutral" size="lg" @click="add(ml)">
          {{ ml === 0.05 ? 'One drop' : `+ ${ml} mL` }}
        </UButton>
      </div>
      <UButton variant="link" class="px-0" :disabled="used === 0" @click="again">Start again with a new sample</UButton>
    </div>
  </div>
</template>

<style scoped>
.bench { display: grid; grid-template-columns: 160px minmax(0, 1fr); gap: 20px; }
.glass { fill: var(--glass); stroke: var(--line-strong); stroke-width: 2; }
.titrant { fill: #cfd9dd; }
.used { font-size: 1.8rem; }
.said { min-height: 3em; }
@media (max-width: 560px) { .bench { grid-template-columns: 110px minmax(0, 1fr); } }
</style>
