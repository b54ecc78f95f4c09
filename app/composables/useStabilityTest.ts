import { fact } from '~~/core/drafts'
import { type Fallen, PROTOCOL, PROTOCOLS, type Protocol, type StabilityTest, fallenByNtu, testVerdict } from '~~/core/finishing'
import type { LotView } from '~~/core/ledger'
import { testUnderWay } from '~~/core/stages'
import { sayTest } from '~/wording/stability'

/** A heat or a cold test of a lot: by which rule, its clock while it runs, and what fell when it is read. */
export function useStabilityTest(lot: Ref<LotView | undefined>, test: Ref<StabilityTest>) {
  const cellar = useCellarStore()
  const now = useNow()
  const rules = computed(() => PROTOCOLS.filter((p) => PROTOCOL[p].of === test.value))
  const chosen = ref<Protocol>('heat-2h')
  const running = computed(() => (lot.value ? testUnderWay(lot.value, test.value, now.value) : undefined))
  const protocol = computed<Protocol>(
    () => running.value?.protocol ?? (rules.value.includes(chosen.value) ? chosen.value : rules.value[0]!)
  )
  const fallen = ref<Fallen | ''>('')
  const ntu = () => usePlainField(0, 4000, 'Between 0 and 4000 NTU.', { required: false })
  const [before, after] = [ntu(), ntu()]
  watch([() => lot.value?.id, test], () => {
    fallen.value = ''
    for (const field of [before, after]) field.clear()
  })
  /** By the meter where both glasses were read, else by eye. */
  const byNtu = computed(() =>
    test.value === 'heat-test' && before.value !== undefined && after.value !== undefined
      ? withinLimits(() => fallenByNtu(before.value!, after.value!))
      : undefined
  )
  const seen = computed(() => byNtu.value ?? (fallen.value || undefined))
  const verdict = computed(() => seen.value && testVerdict(protocol.value, seen.value))
  const last = computed(() => (test.value === 'heat-test' ? lot.value?.heatTest : lot.value?.coldTest))
  /** When it was begun, if that was not just now. */
  const beganAt = ref<string>()
  const begin = async (): Promise<boolean> =>
    lot.value !== undefined &&
    (await cellar.log([fact(
      'operation',
      { lotId: lot.value.id, what: test.value, protocol: protocol.value, note: undefined, ...(beganAt.value && { at: beganAt.value }) }
    )])) !==
      undefined
  async function read(): Promise<boolean> {
    const l = lot.value
    if (!l || !seen.value || !verdict.value || !before.ok || !after.ok) return false
    const more = byNtu.value ? `, ${before.text.trim()} to ${after.text.trim()} NTU` : ''
    const text = sayTest(protocol.value, test.value, seen.value, more)
    return (await cellar.log([fact('observation', { lotId: l.id, what: test.value, stable: verdict.value.stable, text })])) !== undefined
  }
  return { rules, chosen, running, protocol, fallen, before, after, byNtu, verdict, last, beganAt, begin, read }
}
