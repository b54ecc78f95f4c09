export default defineNuxtConfig({
  modules: ['@nuxt/ui', '@pinia/nuxt', '@vite-pwa/nuxt', '@nuxt/eslint', './modules/content-security', './modules/licences',
    './modules/calc-worker'],

  ssr: false,

  components: [{ path: '~/components', pathPrefix: false }],
  // What is ours is imported by name, so that a file says what it rests on; Vue, Nuxt and Nuxt UI come by themselves.
  imports: { scan: false },
  devtools: { enabled: false },

  app: {
    head: {
      title: 'Presk',
      htmlAttrs: { lang: 'en-GB' },
      meta: [
        { name: 'description', content: 'The memory and the arithmetic of a home winery' },
        { name: 'viewport', content: 'width=device-width, initial-scale=1, viewport-fit=cover' },
        { name: 'theme-color', content: '#e6dccb' }
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' },
        { rel: 'apple-touch-icon', href: '/apple-touch-icon.png' },
        { rel: 'manifest', href: '/manifest.webmanifest' }
      ]
    }
  },

  css: ['~/assets/css/main.css'],

  // Fonts come from @fontsource files through CSS: nothing is fetched at run time.
  ui: { fonts: false, experimental: { componentDetection: true } },
  // Of its own where the types are being checked at the same time.
  buildDir: process.env.PRESK_BUILD_DIR ?? '.nuxt',

  experimental: {
    // A page comes when somebody reaches for its link; the service worker has it for the cellar without a network.
    defaults: { nuxtLink: { prefetchOn: { interaction: true, visibility: false } } },
    // Nuxt 4.4.5: 'nuxt dev' with ssr:false fails without this.
    viteEnvironmentApi: true
  },

  compatibilityDate: '2026-05-01',

  nitro: {
    // The solver is loaded once, where the module is: that wants a target that knows top-level await.
    esbuild: { options: { target: 'es2022' } },
    // The shell on disk, so that the service worker can keep it.
    prerender: { routes: ['/'], crawlLinks: false },
    compressPublicAssets: { gzip: true, brotli: true }
  },

  vite: {
    worker: { format: 'es' },
    // Of some two hundred small files a page took most: what is smaller than this goes in with what needs it. Above it pages
    // began to carry what others need: at 24 kB the first view was a seventh heavier.
    $client: {
      build: {
        rollupOptions: {
          output: {
            experimentalMinChunkSize: 2_500,
            // Codes are drawn on two pages. What draws them stays together, or a small part of it is joined to what every page fetches.
            manualChunks: (id: string) => (/\/node_modules\/uqr\/|\/core\/labels\/code\.ts/.test(id) ? 'codes' : undefined)
          }
        }
      }
    },
    optimizeDeps: { include: ['dexie', 'zod'] }
  },

  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } } },

  telemetry: false,

  hooks: {
    // The shell would have the browser fetch the print pages behind the first view, which few people open and the service worker has.
    'build:manifest': (manifest) => {
      for (const file of Object.values(manifest)) file.prefetch = false
    }
  },

  eslint: { config: { stylistic: true } },

  icon: {
    provider: 'none',
    fallbackToApi: false,
    serverBundle: false,
    clientBundle: { scan: { globInclude: ['app/**/*.{vue,ts}'] }, sizeLimitKb: 256 }
  },
  pinia: { storesDirs: [] },

  pwa: {
    registerType: 'prompt',
    manifest: {
      id: '/',
      lang: 'en-GB',
      categories: ['food', 'productivity'],
      name: 'Presk',
      short_name: 'Presk',
      description: 'The memory and the arithmetic of a home winery',
      theme_color: '#e6dccb',
      background_color: '#f3eee4',
      display: 'standalone',
      start_url: '/',
      icons: [
        { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
        { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
        { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
        { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' }
      ],
      shortcuts: [
        { name: 'Take readings', short_name: 'Round', url: '/round' },
        { name: 'Search, or type a reading', short_name: 'Type', url: '/?quick=1' },
        { name: 'Start a lot', short_name: 'New lot', url: '/lots/new' }
      ],
      // An exported cellar that is opened from the system is reviewed, and taken in when the person says so.
      file_handlers: [{ action: '/settings', accept: { 'application/json': ['.json'] } }],
      launch_handler: { client_mode: 'navigate-existing' }
    },
    workbox: {
      globPatterns: ['**/*.{js,css,html,svg,png,ico,woff2,ttf,wasm}'],
      // The solver of racking day works without a network as well.
      maximumFileSizeToCacheInBytes: 5_000_000,
      globIgnores: ['**/200.html', '**/404.html'],
      navigateFallback: '/',
      navigateFallbackDenylist: [/^\/api\//, /^\/licences\.txt/],
      cleanupOutdatedCaches: true,
      sourcemap: false
    },
    client: { installPrompt: false },
    devOptions: { enabled: false }
  }
})
