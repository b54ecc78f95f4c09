import { ledger } from '~/workers/start'
import { useCellarStore } from '~/stores/cellar'

// With the first script, before anything is drawn: the ledger is read and folded while the page is put together.
if (typeof Worker !== 'undefined') ledger.start()

const rememberedFolder = () => {
  try {
    return localStorage.getItem('presk.folder') !== null
  }
  catch {
    return false
  }
}

/** The address can name the demo, so that the printed link of `npm run demo` opens on it. */
export default defineNuxtPlugin({
  dependsOn: ['pinia'],
  setup() {
    // The folder that the cellar is kept in is looked at once the first page is there.
    if (rememberedFolder()) setTimeout(() => void import('~/stores/folder').then((m) => m.useFolderStore().reopen()), 3000)
    const asked = new URLSearchParams(location.search).get('cellar')
    useCellarStore()
      .open(asked === 'demo' ? 'demo' : undefined)
      .catch((error: unknown) => showError({ status: 500, message: String(error), fatal: true }))
  }
})
