/** Milliseconds a call takes: the best of five rounds after a warm-up, so that a busy machine disturbs least. */
export function perCall(work: () => unknown, calls: number): number {
  for (let i = 0; i < calls; i++) work()
  let best = Infinity
  for (let round = 0; round < 5; round++) {
    const start = performance.now()
    for (let i = 0; i < calls; i++) work()
    best = Math.min(best, (performance.now() - start) / calls)
  }
  return best
}
