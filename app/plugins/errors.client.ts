/** An error that no page caught leads to the error page, where the cellar can be exported, instead of to a dead screen. */
export default defineNuxtPlugin((nuxtApp) => {
  nuxtApp.hook('vue:error', (error) => {
    showError({ status: 500, message: error instanceof Error ? error.message : String(error), fatal: true })
  })
})
