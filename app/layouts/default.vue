<script setup lang="ts">
import { sayStorageProblem } from '~/wording/problems'
import { useCellarName } from '~/composables/useCellarName'
import { useMessage } from '~/composables/useMessage'
import { useTerm } from '~/composables/useTerm'
import { useTypedOver } from '~/composables/useTypedOver'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

const cellar = useCellarStore()
const settings = useSettingsStore()
const cellarName = useCellarName()
const colorMode = useColorMode()
const quickOpen = ref(false)
/** The line comes when it is first asked for. */
const quickUsed = ref(false)
/** The card of a word comes when one is first asked for. */
const { asked: term } = useTerm()
const termUsed = ref(false)
watch(term, () => (termUsed.value = true))
watch(quickOpen, (open) => {
  quickUsed.value ||= open
})
const route = useRoute()
/** None where the browser has no service worker. */
const pwa = useNuxtApp().$pwa
const typedOver = useTypedOver()
onMounted(() => {
  // From the system's menu of an installed Presk.
  if (route.query.quick) quickOpen.value = true
  void typedOver.putBack()
  // A newer version taken in another tab reloads this one as well: what is typed here is kept before it goes.
  if (navigator.serviceWorker?.controller) navigator.serviceWorker.addEventListener('controllerchange', typedOver.keep)
})
onBeforeUnmount(() => navigator.serviceWorker?.removeEventListener('controllerchange', typedOver.keep))
function takeNewer() {
  typedOver.keep()
  void pwa?.updateServiceWorker(true)
}

const PLACES = [
  { to: '/', label: 'Today', icon: 'i-lucide-footprints' },
  { to: '/lots', label: 'Lots', icon: 'i-lucide-notebook-text' },
  { to: '/bench', label: 'Bench', icon: 'i-lucide-flask-conical' },
  { to: '/cellar', label: 'Cellar', icon: 'i-lucide-warehouse' },
  { to: '/stores', label: 'Stores', icon: 'i-lucide-archive' },
  { to: '/practice', label: 'Practice', icon: 'i-lucide-graduation-cap' }
] as const

/** Crush day and the harvest belong to Today. */
const isOn = (to: string) => (to === '/' ? route.path === '/' || /^\/(crush|harvest|season)/.test(route.path) : route.path.startsWith(to))

defineShortcuts({
  '/': () => {
    quickOpen.value = true
  },
  meta_k: {
    usingInput: true,
    handler: () => {
      quickOpen.value = true
    }
  },
  meta_z: {
    usingInput: false,
    handler: () => void takeBack()
  },
  'g-t': () => navigateTo('/'),
  'g-d': () => navigateTo('/crush'),
  'g-h': () => navigateTo('/harvest'),
  'g-l': () => navigateTo('/lots'),
  'g-b': () => navigateTo('/bench'),
  'g-c': () => navigateTo('/cellar'),
  'g-s': () => navigateTo('/stores'),
  'g-e': () => navigateTo('/settings'),
  'g-p': () => navigateTo('/practice'),
  '?': () => navigateTo('/help#keys')
})
/** Ctrl+Z takes back what was logged last. */
const message = useMessage()
async function takeBack() {
  if (await cellar.undoLast()) message({ title: 'Undone. The entry stays in the history, marked as deleted.', color: 'neutral' })
}
const dark = computed(() => colorMode.value === 'dark')
const toggleTheme = () => {
  colorMode.preference = dark.value ? 'light' : 'dark'
}
async function leaveDemo() {
  await cellar.open('own')
  await navigateTo('/')
}
</script>

<template>
  <div class="page">
    <a href="#main" class="skip">Skip to content</a>
    <header class="top">
      <NuxtLink to="/" class="wordmark" aria-label="Presk, today">Presk</NuxtLink>
      <nav class="places" aria-label="Places">
        <NuxtLink v-for="p in PLACES" :key="p.to" :to="p.to" :class="{ on: isOn(p.to) }">
          <UIcon :name="p.icon" class="icon" />{{ p.label }}
        </NuxtLink>
      </nav>
      <UButton
        v-if="settings.values.asked || cellar.isDemo || cellar.isPractice"
        variant="outline"
        color="neutral"
        icon="i-lucide-pencil-line"
        class="quick"
        aria-keyshortcuts="/ Control+K"
        @click="quickOpen = true"
      >
        <span class="long">Search, or type a reading</span><span class="short">Search or type</span>
        <UKbd class="ml-auto max-md:hidden">/</UKbd>
      </UButton>
      <UButton
        to="/settings"
        variant="ghost"
        color="neutral"
        class="theme px-2.5"
        icon="i-lucide-settings"
        aria-label="Settings"
        :aria-current="route.path === '/settings' ? 'page' : undefined"
      />
      <UButton
        variant="ghost"
        color="neutral"
        class="theme px-2.5"
        :icon="dark ? 'i-lucide-sun' : 'i-lucide-moon'"
        :aria-label="dark ? 'Light theme' : 'Dark theme'"
        @click="toggleTheme"
      />
    </header>
    <div v-if="cellar.isDemo" class="demo">
      <span><span class="owner">The Larkrise cellar: a </span><b>demo with made-up wines.</b></span>
      <UButton variant="link" class="p-0 min-h-0" @click="leaveDemo">Go to my own cellar</UButton>
    </div>
    <div v-else-if="cellar.which !== 'own' && !cellar.isPractice" class="demo">
      <span><b>{{ cellarName }}</b></span>
      <UButton variant="link" class="p-0 min-h-0" @click="leaveDemo">Go to my own cellar</UButton>
    </div>
    <LazyPracticeBar v-if="cellar.isPractice && cellar.ready" />
    <LazyNewVersion v-if="pwa?.needRefresh" @take="takeNewer" @later="pwa.cancelPrompt()" />
    <div v-if="cellar.problem" class="trouble" role="alert">
      {{ sayStorageProblem(cellar.problem) }} <NuxtLink to="/settings" class="textlink">Export</NuxtLink>
    </div>
    <div v-if="cellar.damaged" class="trouble" role="alert">
      {{ cellar.damaged }} {{ cellar.damaged === 1 ? 'entry' : 'entries' }} on this device could not be read and
      {{ cellar.damaged === 1 ? 'was' : 'were' }} left out, not deleted. Import your last export to fill the gap.
    </div>
    <LazyRefusedNote v-if="cellar.refused.length" />
    <SafePart v-if="cellar.ready"><ShelfStrip /></SafePart>
    <main id="main" tabindex="-1"><SafePart><slot /></SafePart></main>
    <footer class="foot noprint">
      <NuxtLink to="/help" class="textlink">How Presk works</NuxtLink>
    </footer>
    <LazyTermCard v-if="termUsed" />
    <LazyQuickLine v-if="quickUsed" v-model:open="quickOpen" />
  </div>
</template>

<style scoped>
.page {
  min-height: 100dvh;
  display: flex;
  flex-direction: column;
}
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 12px;
  top: 8px;
  z-index: 50;
  background: var(--sheet);
  padding: 8px 14px;
}
.top {
  display: flex;
  align-items: center;
  gap: 8px 12px;
  padding: 8px clamp(12px, 3vw, 40px);
}
.wordmark {
  font-family: var(--font-display);
  font-weight: 700;
  font-size: 1.5rem;
  letter-spacing: -0.01em;
}
.places {
  display: flex;
  gap: 4px;
  margin-left: 14px;
}
.places a {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 0 12px;
  min-height: 44px;
  border-radius: var(--radius-control);
  font-weight: 500;
}
.places a .icon {
  display: none;
}
.places a.on {
  background: var(--skin-wash);
  color: var(--skin);
  font-weight: 700;
}
.icon {
  width: 20px;
  height: 20px;
  flex: none;
}
.quick {
  margin-left: auto;
  min-width: 280px;
  justify-content: start;
  font-weight: 400;
  color: var(--ink-soft);
}
.quick .short {
  display: none;
  white-space: nowrap;
}
.top > .theme:nth-child(3) {
  margin-left: auto;
}
.demo {
  background: var(--skin-wash);
  padding: 6px clamp(12px, 3vw, 40px);
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  font-size: 0.95rem;
}
/* One line on a phone. */
@media (max-width: 560px) {
  .owner {
    display: none;
  }
  .demo b::first-letter {
    text-transform: uppercase;
  }
  .demo b {
    display: inline-block;
  }
  .demo {
    padding-block: 2px;
    column-gap: 10px;
    font-size: 0.9rem;
  }
}
.trouble {
  background: var(--stop-wash);
  color: var(--stop);
  padding: 10px clamp(12px, 3vw, 40px);
  font-weight: 600;
}
main {
  flex: 1;
  width: 100%;
  max-width: 1280px;
  margin: 0 auto;
  padding: 24px clamp(14px, 3vw, 40px) 56px;
  outline: none;
}
.foot {
  display: flex;
  gap: 8px 24px;
  justify-content: center;
  padding: 0 12px 24px;
  font-size: 0.95rem;
}
@media (max-width: 760px) {
  .foot {
    padding-bottom: 84px;
  }
  .top {
    padding-block: 4px;
    column-gap: 8px;
  }
  .places {
    position: fixed;
    inset: auto 0 0;
    margin: 0;
    z-index: 20;
    justify-content: space-around;
    background: var(--sheet);
    border-top: 1.5px solid var(--line);
    padding: 4px 4px max(4px, env(safe-area-inset-bottom));
  }
  .places a {
    flex: 1;
    flex-direction: column;
    gap: 2px;
    justify-content: center;
    min-height: 54px;
    font-size: 0.82rem;
    padding: 0;
  }
  .places a .icon {
    display: block;
  }
  .quick {
    min-width: 0;
  }
  .quick .long {
    display: none;
  }
  .quick .short {
    display: inline;
  }
  main {
    padding-top: 18px;
    padding-bottom: 32px;
  }
}
/* On the narrowest the pencil says it; the words are still there for who cannot see it. */
@media (max-width: 370px) {
  .quick .short {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
}
@media (max-height: 480px) and (max-width: 760px) {
  .places a {
    min-height: 44px;
    flex-direction: row;
    gap: 6px;
  }
  .places .icon {
    width: 16px;
    height: 16px;
  }
  main {
    padding-top: 6px;
  }
}
</style>
