import { counted } from '~/wording/count'
import { type Carried, type CarryWork, carry, readCopy, waitingOf } from '~/data/carry'
import { type Folder, chooseFolder, forgetFolder, hasFolders, knownFolder } from '~/data/folder'
import { toCellarFile } from '~/data/to-cellar-file'
import { thisDevice } from '~/data/device'
import { sayFileProblem } from '~/wording/problems'
import { dayHere } from '~/wording/days'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

/** So long after the last entry the folder gets its copy, ms: an entry seldom comes alone. */
const AFTER_MS = 4000
const KEY = 'presk.folder'

/** A folder that the own cellar is kept in, and carried by to other devices. */
export const useFolderStore = defineStore('folder', () => {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  const state = ref<'unsupported' | 'none' | 'asks' | 'open'>(hasFolders() ? 'none' : 'unsupported')
  const last = shallowRef<Carried & { at: string }>()
  /** All that came since the page was opened: the next update does not make the person miss it. */
  const arrived = ref<Record<string, number>>({})
  const problem = ref<string>()
  const busy = ref(false)
  const logged = useLogged()
  let folder: Folder | undefined
  const wasChosen = () => {
    try {
      return localStorage.getItem(KEY) !== null
    }
    catch {
      return false
    }
  }
  const remember = (chosen: boolean) => {
    try {
      if (chosen) localStorage.setItem(KEY, '1')
      else localStorage.removeItem(KEY)
    }
    catch {
      // Refused in private windows; then it is chosen anew.
    }
  }

  const take: CarryWork['take'] = async (text, fileName) => {
    const read = await cellar.review(text, fileName)
    if (!read.ok) return { problem: sayFileProblem(read.problem) }
    const waiting = waitingOf(read.reviewed.review.doubts)
    if (read.reviewed.review.freshCount === 0) return { fresh: 0, waiting: waiting.length }
    const done = await cellar.takeReviewed(waiting)
    return { fresh: done?.count ?? 0, waiting: waiting.length }
  }

  /** Reads what came from other devices, and writes what is here. */
  async function sync(): Promise<void> {
    if (!folder || busy.value || cellar.which !== 'own' || !cellar.ready) return
    busy.value = true
    problem.value = undefined
    try {
      const name = settings.values.cellarName || 'My cellar'
      const entries = async () => await cellar.allEntries()
      const text = async () => {
        const all = await entries()
        const newest = all.reduce((at, e) => (e.written > at ? e.written : at), '1970-01-01T00:00:00.000Z')
        return JSON.stringify(toCellarFile(name, all, newest))
      }
      const done = await carry({ folder, device: thisDevice(), day: dayHere(new Date()), text, take })
      last.value = { ...done, at: new Date().toISOString() }
      for (const { device, fresh } of done.came) arrived.value[device] = (arrived.value[device] ?? 0) + fresh
      const fresh = done.came.reduce((sum, c) => sum + c.fresh, 0)
      if (fresh > 0) logged(`${counted(fresh, 'entry', 'entries')} came from ${counted(done.came.length, 'other device')}`)
      void cellar.meta.set('lastExport', last.value.at).catch(() => undefined)
    }
    catch (error) {
      const refused = (error as { name?: string }).name === 'NotAllowedError'
      if (refused) state.value = 'asks'
      problem.value = refused
        ? 'The browser no longer allows Presk into this folder.'
        : 'The folder could not be written. It may be full, or was moved. Your cellar is still in this browser.'
    }
    finally {
      busy.value = false
    }
  }

  async function choose(): Promise<void> {
    try {
      folder = await chooseFolder()
    }
    catch (error) {
      // Closed without choosing is no problem.
      if ((error as { name?: string }).name !== 'AbortError') problem.value = 'The browser refused this folder. Choose another one.'
      return
    }
    remember(true)
    state.value = 'open'
    await sync()
  }
  /** The folder of before: by itself where the browser allows it, else on a tap. */
  async function reopen(ask = false): Promise<void> {
    if (state.value === 'unsupported' || !wasChosen()) return
    const known = await knownFolder(ask).catch(() => ({ state: 'none' as const }))
    state.value = known.state
    folder = 'folder' in known ? known.folder : undefined
    if (folder) await sync()
  }
  async function forget(): Promise<void> {
    remember(false)
    folder = undefined
    last.value = undefined
    state.value = 'none'
    await forgetFolder().catch(() => undefined)
  }
  const asFile = (text: string | undefined, name: string): File | undefined =>
    text === undefined ? undefined : new File([text], name, { type: 'application/json' })
  /** What a copy of a day would bring back, as a file to be reviewed. */
  const copyOf = async (day: string) => asFile(folder && (await readCopy(folder, day)), `presk-copy-${day}.json`)
  /** Another device's file, to be looked at. */
  const fileOf = async (name: string) => asFile(await folder?.read(name), name)

  let timer: ReturnType<typeof setTimeout> | undefined
  watch(() => cellar.factCount, () => {
    if (!folder) return
    clearTimeout(timer)
    timer = setTimeout(() => void sync(), AFTER_MS)
  })
  if (typeof document !== 'undefined') document.addEventListener('visibilitychange', () => void sync())
  return { state, last, arrived, problem, busy, choose, reopen, sync, forget, copyOf, fileOf }
})
