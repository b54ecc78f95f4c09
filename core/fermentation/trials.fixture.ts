import { forecastFerment } from './forecast'
import { type FormName, sampled, trueFerment } from './reference/ferments.fixture'
import { normalFrom, seeded } from '../units'

/** How often a band held the truth, how wide it was in the middle, and how far its middle was off. */
export interface Held { held: number, medianWidth: number, medianError: number, bias: number, n: number }
export interface Trials {
  dry: Held
  oneThird: Held
  sg24: Held
  sg48: Held
  dryFromMidFerment: Held
  /** Where the gravity ends, looked at when two thirds of the fall are done. */
  endSg: Held
  /** Arrests with two looks in the 36 h after them, and the share found by then. */
  arrests: number
  foundIn36h: number
  /** Looks at ferments that go on, and the share of them that were called stuck. */
  looks: number
  falseAlarms: number
  /** Of looks past the middle at ferments that get dry: said to stop sweet perhaps. */
  maySweet: number
  msEach: number
}

const median = (xs: number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? NaN

/**
 * Forecasts over ferments of the reference forms, at looks through their course.
 * @param with.form of one form only
 * @param with.forecast another way to foretell
 * @param with.clock ms, for the bench
 */
export function trials(
  count: number,
  seed: number,
  { form, forecast = forecastFerment, clock = () => 0 }: { form?: FormName, forecast?: typeof forecastFerment, clock?: () => number } = {}
): Trials {
  const seen: Record<string, { low: number, mid: number, high: number, truth: number }[]> = {}
  const note = (name: string, band: { low: number, mid: number, high: number } | null, truth: number | null) => {
    if (band && truth !== null) (seen[name] ??= []).push({ ...band, truth })
  }
  let [arrests, found, looksTried, falseAlarms, forecasts, ms, late, maySweet] = [0, 0, 0, 0, 0, 0, 0, 0]
  for (let i = 0; i < count; i++) {
    const f = trueFerment(i, seed, form)
    const looks = sampled(f, i, seed)
    const normal = normalFrom(seeded(i + 77))
    const random = seeded(seed * 13 + i)
    const about = {
      originalSg: Math.round((f.originalSg + 0.0007 * normal()) * 2000) / 2000, style: f.style, expectedCelsius: f.expectedCelsius,
      ...(random() < 0.7 && { yanMgPerL: f.yanMgPerL * Math.exp(0.12 * normal()) }), nitrogenGivenMgPerL: f.givenMgPerL,
      toleranceAbv: Math.round((f.toleranceAbv + 0.5 * normal()) * 2) / 2
    }
    const ask = (upTo: number) => {
      const start = clock()
      const out = forecast({ ...about, readings: looks.filter((l) => l.hours <= upTo) })
      ms += clock() - start
      forecasts++
      return out
    }
    const over = f.dry ?? f.stoppedAt ?? 700
    const tryAt = [0, 0.15, 0.3, 0.5, 0.7].map((share) => share * over * (0.85 + 0.3 * random()))
    const middle = looks.find((l) => f.originalSg - l.sg > (f.originalSg - f.endSg) * 0.5)?.hours
    for (const upTo of tryAt) {
      const out = ask(upTo)
      const last = looks.filter((l) => l.hours <= upTo).at(-1)?.hours ?? 0
      const hours = (b: typeof out.dry) => b && { low: b.lowHours, mid: b.midHours, high: b.highHours }
      note('dry', hours(out.dry), f.dry)
      if (f.oneThird !== null && f.oneThird > last) note('oneThird', hours(out.oneThirdGone), f.oneThird)
      for (const ahead of [24, 48]) {
        if (last + ahead > over + 60) continue
        const k = (last + ahead) / 12
        const [a, b] = [out.expected[Math.floor(k)], out.expected[Math.floor(k) + 1]]
        if (!a || !b) continue
        const t = k - Math.floor(k)
        const mix = (key: 'low' | 'mid' | 'high') => a.sg[key] + (b.sg[key] - a.sg[key]) * t
        note(`sg${ahead}`, { low: mix('low'), mid: mix('mid'), high: mix('high') }, f.sgAt(last + ahead))
      }
      if (last > 0) {
        const truly = f.sgAt(last - 6) - f.sgAt(last + 24) < 0.0012 && f.sugarAt(last) > 5
        if (!truly && f.sugarAt(last) > 2.5) {
          looksTried++
          if (out.findings.some((x) => x.code === 'stuck')) falseAlarms++
        }
      }
    }
    if (middle !== undefined && f.dry !== null) {
      const out = ask(middle)
      note('dryFromMidFerment', out.dry && { low: out.dry.lowHours, mid: out.dry.midHours, high: out.dry.highHours }, f.dry)
      const nearEnd = looks.find((l) => f.originalSg - l.sg > (f.originalSg - f.endSg) * 0.8)?.hours
      if (nearEnd !== undefined) {
        const then = ask(nearEnd)
        note('endSg', then.endSg, f.endSg)
        late++
        if (then.findings.some((x) => x.code === 'may-stop-sweet')) maySweet++
      }
    }
    if (f.stoppedAt !== null) {
      const within36 = looks.filter((l) => l.hours > f.stoppedAt! + 1 && l.hours <= f.stoppedAt! + 36)
      if (within36.length < 2) continue
      arrests++
      if (within36.some((l) => ask(l.hours).findings.some((x) => x.code === 'stuck'))) found++
    }
  }
  const held = (name: string): Held => {
    const all = seen[name] ?? []
    return {
      held: all.filter((b) => b.truth >= b.low && b.truth <= b.high).length / all.length,
      medianWidth: median(all.map((b) => b.high - b.low)), medianError: median(all.map((b) => Math.abs(b.mid - b.truth))),
      bias: median(all.map((b) => b.mid - b.truth)), n: all.length
    }
  }
  return {
    dry: held('dry'), oneThird: held('oneThird'), sg24: held('sg24'), sg48: held('sg48'), dryFromMidFerment: held('dryFromMidFerment'),
    endSg: held('endSg'), maySweet: maySweet / late,
    arrests, foundIn36h: found / arrests, looks: looksTried, falseAlarms: falseAlarms / looksTried, msEach: ms / forecasts
  }
}
