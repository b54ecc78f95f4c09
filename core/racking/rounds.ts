import type { Problem } from './problem'
import { NOTHING } from './problem'
import type { Solved, Solver } from './model'
import type { Step } from './sequence'

/** A small cellar may be asked round by round: as many binaries as a solver takes in its stride. */
const MOST_BINARIES = 300
const SLACK = 1e-5

export interface Rounds {
  steps: Step[]
  /** By vessel and wine, L. */
  stands: { vessel: number, wine: number, litres: number }[]
}

/** As many rounds as can be needed: something is given up, something waits aside, and in each of the rest one vessel comes to its end. */
const roundsFor = (p: Problem): number => Math.min(6, Math.max(4, p.vessels.length))

export function canGoByRounds(p: Problem): boolean {
  const places = p.vessels.length
  return roundsFor(p) * p.wines.length * places * (places + 2) <= MOST_BINARIES
}

/**
 * A cellar so full that wines block each other, told round by round: what stands where after each, and every move that there could be. For
 * small ones only; there it finds what no assignment alone can know, that something has to be given up to get the rest moving.
 * @returns undefined where the time was too short to be sure
 */
export function byRounds(p: Problem, solve: Solver, time: () => number): Rounds | undefined {
  const model = new RoundsModel(p, roundsFor(p))
  const without = solve(model.write('without', {}), { time_limit: time() })
  if (without.Status !== 'Optimal' && !('o0_0' in without.Columns)) return undefined
  const best = Math.max(0, without.ObjectiveValue)
  const air = solve(model.write('air', { without: best }), { time_limit: time() })
  const moves = solve(model.write('moves', { without: best, air: Math.max(0, air.ObjectiveValue) }), { time_limit: time() })
  return [without, air, moves].every((s) => s.Status === 'Optimal') ? model.read(moves) : undefined
}

class RoundsModel {
  private readonly rows: string[] = []
  private readonly bins: string[] = []
  private readonly moves: string[] = []
  private readonly air: string[] = []
  private readonly given: string[] = []

  constructor(private readonly p: Problem, private readonly rounds: number) {
    const { wines, vessels } = p
    const at = (v: number, w: number) => p.sources.find((s) => s.vessel === v && s.wine === w)?.litres ?? 0
    for (const [w] of wines.entries()) {
      const outside = p.sources.find((s) => s.vessel === undefined && s.wine === w)?.litres ?? 0
      this.row(`o0_${w} = ${outside}`)
      for (const [v] of vessels.entries()) this.row(`q0_${v}_${w} = ${at(v, w)}`)
    }
    for (const [v] of vessels.entries()) {
      const s = p.sources.find((o) => o.vessel === v)
      this.row(`l0_${v} = ${s && wines[s.wine]!.offLees ? 1 : 0}`)
      this.bin(`l0_${v}`)
      for (const [w] of wines.entries()) this.holds(0, v, w)
    }
    for (let t = 1; t <= this.rounds; t++) this.round(t)
    this.last()
  }

  private row(text: string) {
    this.rows.push(text)
  }

  private bin(name: string) {
    this.bins.push(name)
  }

  private holds(t: number, v: number, w: number) {
    this.bin(`x${t}_${v}_${w}`)
    this.row(`q${t}_${v}_${w} - ${this.most(v)} x${t}_${v}_${w} <= 0`)
  }

  /** What stands in a vessel may have been filled by eye. */
  private most(v: number): number {
    const stands = this.p.sources.filter((s) => s.vessel === v).reduce((sum, s) => sum + s.litres, 0)
    return Math.max(this.p.vessels[v]!.capacityL, stands)
  }

  private round(t: number) {
    const { wines, vessels } = this.p
    for (const [w] of wines.entries()) {
      const out: string[] = []
      for (const [v, vessel] of vessels.entries()) {
        this.holds(t, v, w)
        const [gives, takes]: [string[], string[]] = [[], []]
        for (const [u, other] of vessels.entries()) {
          if (u !== v && vessel.usable) takes.push(this.arc(t, u, v, w))
          if (u !== v && other.usable) gives.push(`f${t}_${v}_${u}_${w}`)
        }
        if (vessel.usable) {
          const arc = this.arc(t, vessels.length, v, w)
          takes.push(arc)
          out.push(arc)
        }
        const d = `d${t}_${v}_${w}`
        this.given.push(d)
        this.row(`q${t}_${v}_${w} - q${t - 1}_${v}_${w}${takes.map((x) => ` - ${x}`).join('')}${gives.map((x) => ` + ${x}`).join('')} + `
          + `${d} = 0`)
        // Out goes what was there when the round began.
        this.row(`${[...gives, d].join(' + ')} - q${t - 1}_${v}_${w} <= 0`)
      }
      this.row(`o${t}_${w} - o${t - 1}_${w}${out.map((x) => ` + ${x}`).join('')} = 0`)
    }
    for (const [v] of vessels.entries()) this.rules(t, v)
  }

  private arc(t: number, from: number, to: number, w: number): string {
    const key = `${t}_${from}_${to}_${w}`
    this.bin(`y${key}`)
    this.moves.push(`y${key}`)
    this.row(`f${key} - ${Math.min(this.p.vessels[to]!.capacityL, this.p.wines[w]!.litres)} y${key} <= 0`)
    return `f${key}`
  }

  private rules(t: number, v: number) {
    const { wines, vessels } = this.p
    const { usable, capacityL } = vessels[v]!
    if (usable) this.row(`${wines.map((_, w) => `q${t}_${v}_${w}`).join(' + ')} <= ${capacityL > 0 ? this.most(v) : 0}`)
    this.bin(`l${t}_${v}`)
    for (const [w] of wines.entries()) {
      // Lees are out only with the last of the wine.
      this.row(`l${t}_${v} - l${t - 1}_${v} - x${t}_${v}_${w} >= -1`)
      for (const [u] of [...vessels, undefined].entries()) {
        if (u === v) continue
        if (usable) {
          const comes = `y${t}_${u}_${v}_${w}`
          this.row(`${comes} + l${t - 1}_${v} <= 1`)
          for (const [o] of wines.entries()) if (o !== w && !this.p.mixes(w, o)) this.row(`${comes} + x${t - 1}_${v}_${o} <= 1`)
        }
        if (u < vessels.length && vessels[u]!.usable)
          // A mixture is poured no more.
          for (const [o] of wines.entries()) if (o !== w) this.row(`y${t}_${v}_${u}_${w} + x${t - 1}_${v}_${o} <= 1`)
      }
      for (const [o] of wines.entries()) if (o > w && !this.p.mixes(w, o)) this.row(`x${t}_${v}_${w} + x${t}_${v}_${o} <= 1`)
    }
  }

  private last() {
    const { wines, vessels } = this.p
    for (const [v, vessel] of vessels.entries()) {
      const all = wines.map((_, w) => `q${this.rounds}_${v}_${w}`)
      if (!vessel.usable) this.row(`${all.join(' + ')} <= 0`)
      this.bin(`u${v}`)
      this.row(`${all.join(' + ')} - ${vessel.capacityL} u${v} <= 0`)
      this.row(`u${v} + l${this.rounds}_${v} <= 1`)
      this.air.push(`${vessel.capacityL} u${v}`, ...all.map((x) => `- ${x}`))
    }
  }

  write(goal: 'without' | 'air' | 'moves', bounds: { without?: number, air?: number }): string {
    const without = [...this.given, ...this.p.wines.map((_, w) => `o${this.rounds}_${w}`)].join(' + ')
    const air = this.air.join(' + ').replaceAll('+ -', '-')
    const rows = [...this.rows]
    if (bounds.without !== undefined) rows.push(`${without} <= ${bounds.without + SLACK}`)
    if (bounds.air !== undefined) rows.push(`${air} <= ${bounds.air + SLACK}`)
    const objective = { without, air, moves: this.moves.join(' + ') }[goal]
    return [
      'Minimize',
      ` obj: ${objective}`,
      'Subject To',
      ...rows.map((r, i) => ` c${i}: ${r}`),
      'Binary',
      ...this.bins.map((b) => ` ${b}`),
      'End'
    ].join('\n')
  }

  read({ Columns }: Solved): Rounds {
    const value = (name: string) => Columns[name]?.Primal ?? 0
    const { wines, vessels } = this.p
    const steps: (Step & { round: number })[] = []
    for (let t = 1; t <= this.rounds; t++)
      for (let u = 0; u <= vessels.length; u++)
        for (const [v] of vessels.entries())
          for (const [w] of wines.entries()) {
            const litres = value(`f${t}_${u}_${v}_${w}`)
            if (litres > 1e-4) steps.push({ round: t, wine: w, from: u === vessels.length ? undefined : u, to: v, litres, waits: false })
          }
    // Within a round a vessel gives before it takes.
    steps.sort((a, b) => a.round - b.round || Number(b.from === a.to) - Number(a.from === b.to))
    const leavesLater = (s: (typeof steps)[number]) => steps.some((o) => o.round > s.round && o.from === s.to && o.wine === s.wine)
    return {
      steps: steps.map(({ round, ...s }) => ({ ...s, waits: leavesLater({ round, ...s }) })),
      stands: vessels.flatMap((_, vessel) =>
        wines.flatMap((__, wine) => {
          const litres = value(`q${this.rounds}_${vessel}_${wine}`)
          return litres > NOTHING ? [{ vessel, wine, litres }] : []
        })
      )
    }
  }
}
