/** How a search for a zero ended. */
export interface Root {
  status: 'converged' | 'no-sign-change' | 'out-of-steps'
  x: number
  /** f(x) at the end. */
  residual: number
  iterations: number
}

/**
 * A zero of a continuous function between two bounds: the Illinois variant of the false-position method
 * (Dowell and Jarratt, BIT 11, 1971), which keeps its bracket and converges faster than bisection.
 * @param f the function
 * @param low lower bound
 * @param high upper bound
 * @param tolerance width of the bracket at which to stop, in the unit of x
 * @returns where and how the search ended; it does not throw
 * @example findRoot(x => x * x - 2, 0, 2, 1e-12).x // 1.414213562373
 */
export function findRoot(f: (x: number) => number, low: number, high: number, tolerance: number): Root {
  let a = low
  let b = high
  let fa = f(a)
  let fb = f(b)
  if (fa === 0) return { status: 'converged', x: a, residual: 0, iterations: 0 }
  if (!(fa * fb <= 0))
    return {
      status: 'no-sign-change',
      x: Math.abs(fa) < Math.abs(fb) ? a : b,
      residual: Math.abs(fa) < Math.abs(fb) ? fa : fb,
      iterations: 0
    }
  let x = b
  let fx = fb
  for (let iterations = 1; iterations <= 200; iterations++) {
    const previous = x
    x = (fa * b - fb * a) / (fa - fb)
    fx = f(x)
    if (fx === 0 || Math.abs(x - previous) < tolerance || Math.abs(b - a) < tolerance)
      return { status: 'converged', x, residual: fx, iterations }
    if (fx * fb < 0) {
      a = b
      fa = fb
    }
    else fa /= 2
    b = x
    fb = fx
  }
  return { status: 'out-of-steps', x, residual: fx, iterations: 200 }
}
