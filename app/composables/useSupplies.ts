import { type SupplyRow, needsOfArrival, needsOfLot, supplyRows } from '~~/core/supplies'
import { materialName } from '~/wording/materials'
import { useNow } from '~/composables/useNow'
import { withinLimits } from '~/composables/withinLimits'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

/** What all open lots and expected arrivals still need, against what is in store. */
export function useSupplies() {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  const now = useNow()
  const needs = computed(() => [
    ...cellar.lots.flatMap((lot) => withinLimits(() => needsOfLot(lot, settings.values.salt)) ?? []),
    ...[...cellar.state.arrivals.values()].flatMap((a) => withinLimits(() => needsOfArrival(a, settings.values.salt)) ?? [])
  ])
  const rows = computed<SupplyRow[]>(() => supplyRows(needs.value, cellar.state.stock, now.value))
  /** A shop of things is only spoken of once something was put into the store: before that everything would be short. */
  const kept = computed(() => cellar.state.stock.size > 0)
  /** Needs are forecasts: no more digits than they deserve. */
  const amount = (row: Pick<SupplyRow, 'unit'>, value: number): string =>
    value < 0.05
      ? 'none'
      : row.unit === 'pieces'
        ? `${Math.ceil(value)} pieces`
        : value >= 1000
          ? `${(value / 1000).toFixed(2)} ${row.unit === 'g' ? 'kg' : 'L'}`
          : `${value.toFixed(value < 10 ? 1 : 0)} ${row.unit}`
  /** Before anything was put into the store, all would be short and nothing said by it. */
  const short = computed(() => (kept.value ? rows.value.filter((r) => r.short > 0) : []))
  /** The worst three by name. */
  const sayShort = (short: readonly SupplyRow[]): string => {
    const named = short.slice(0, 3).map((r) => `${materialName(r.material)} by ${amount(r, r.short)}`)
    return short.length > 3 ? `${named.join(', ')} and ${short.length - 3} more` : named.join(', ')
  }
  return { needs, rows, kept, short, amount, sayShort }
}
