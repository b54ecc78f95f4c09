/**
 * A computed value that stays the same object while it says the same: what is drawn from it, a chart above all, is not drawn anew
 * for a change elsewhere in the ledger.
 * @param get plain data
 */
export const useSteady = <T>(get: () => T): ComputedRef<T> =>
  computed<T>((before) => {
    const now = get()
    return before !== undefined && JSON.stringify(before) === JSON.stringify(now) ? before : now
  })
