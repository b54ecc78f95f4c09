import { createSharedComposable } from '@vueuse/core'
import { type LotView, isHeld, isMust } from '~~/core/ledger'
import { bottlesLeft, type CellarView, findingsOf, type StageFinding, tasksOf, walkingOrder } from '~~/core/stages'
import { type FindingWords, IN_BOTTLES, OVER, REST, addressOf, sayFinding } from '~/wording/findings'
import { unchangedEach } from '~/composables/unchanged'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'
import { useFollowedStore } from '~/stores/followed'
import { useForecastsStore } from '~/stores/forecasts'

/** A task or finding with its words, and where its action leads. */
export interface Said {
  finding: StageFinding
  words: FindingWords
  to?: string
}
/** A lot on the floor: what is to be done, what is worth knowing, and the first of it. */
export interface FloorItem {
  lot: LotView
  tasks: Said[]
  findings: Said[]
  next: { words: FindingWords, to?: string, finding?: StageFinding }
  /** In the order to walk through; what waits or rests has none. */
  number?: number
}

/** A must spoils soonest, and the one that came first has waited longest, as on the crush floor. All else is in the order of the walk. */
function mustFirst(a: LotView, b: LotView): number {
  if (isMust(a) && isMust(b)) return a.startedAt < b.startedAt ? -1 : a.startedAt > b.startedAt ? 1 : 0
  return Number(isMust(b)) - Number(isMust(a))
}

const same = (a: readonly Said[], b: readonly Said[]): boolean => a.length === b.length && a.every((x, i) => x === b[i])

const ORDER = { stop: 0, now: 1, soon: 2, wait: 3, note: 4 } as const
const rank = (item: FloorItem): number => (item.tasks[0] ? ORDER[item.tasks[0].finding.urgency] : isHeld(item.lot) ? 5 : 6)

/** Every lot with what it asks for and what is worth knowing: the one list that Today, the lot, the floor and the shelf show. */
export const useFloor = createSharedComposable(() => {
  const cellar = useCellarStore()
  const forecasts = useForecastsStore()
  const followed = useFollowedStore()
  const now = useNow()
  const f = useFormat()
  const materials = useMaterials()
  const inOwnDegrees = (words: FindingWords): FindingWords => ({ ...words, title: f.degrees(words.title), reason: f.degrees(words.reason) })
  const format = { ...f, material: materials.name }

  /** What says the same as before is drawn no second time. */
  const asBefore = unchangedEach<Said>()
  /** As long as nothing of it has changed it stays the same object, so that its row is not drawn anew. */
  const shown = new Map<string, FloorItem>()
  function asShown(item: FloorItem): FloorItem {
    const was = shown.get(item.lot.id)
    if (was && was.lot === item.lot && was.number === item.number && was.next.words === item.next.words
      && same(was.tasks, item.tasks) && same(was.findings, item.findings)) return was
    shown.set(item.lot.id, item)
    return item
  }
  /** What the stages know besides the lot: as long as none of it has changed, what they said of a lot still holds. */
  const view = computed<CellarView>((before) => {
    const { vessels, instruments, cards, stock, problems, equipment } = cellar.state
    const next = { vessels, instruments, cards, stock, problems, equipment, forecasts: forecasts.known, followed: followed.wrong }
    const isSame = before && Object.entries(next).every(([key, part]) => before[key as keyof CellarView] === part)
    return isSame ? before : next
  })
  interface Judged { lot: LotView, view: CellarView, tasks: StageFinding[], findings: StageFinding[] }
  const judged = new Map<string, Judged>()
  /** By the lot, which is another object where it or the hour has changed, and by the view. */
  function judge(lot: LotView): Judged {
    const before = judged.get(lot.id)
    if (before?.lot === lot && before.view === view.value) return before
    const fresh = { lot, view: view.value, tasks: tasksOf(lot, view.value, now.value), findings: findingsOf(lot, view.value, now.value) }
    judged.set(lot.id, fresh)
    return fresh
  }
  const items = computed<FloorItem[]>(() => {
    const say =
      (lot: LotView) =>
        (finding: StageFinding): Said =>
          asBefore(`${lot.id}|${finding.key}`, {
            finding,
            words: inOwnDegrees(sayFinding(finding, lot, format)),
            ...(finding.action && { to: addressOf(finding.action) })
          })
    const walk = walkingOrder(cellar.lots, [...cellar.state.vessels.keys()], now.value)
    const all = walk
      .map((lot): FloorItem => {
        const told = judge(lot)
        const tasks = told.tasks.map(say(lot))
        const [first] = tasks
        return {
          lot,
          tasks,
          findings: told.findings.map(say(lot)),
          // Bottles that are only warned about have no task, and are not gone.
          next: first ?? { words: isHeld(lot) ? REST : bottlesLeft(lot) > 0 ? IN_BOTTLES : OVER }
        }
      })
      .sort((a, b) => rank(a) - rank(b) || mustFirst(a.lot, b.lot))
    let number = 0
    return all.map((item) =>
      asShown({ ...item, ...(item.tasks[0] && ORDER[item.tasks[0].finding.urgency] < ORDER.wait && { number: ++number }) })
    )
  })
  return { items, of: (lotId: string) => items.value.find((i) => i.lot.id === lotId) }
})
