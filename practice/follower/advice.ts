import type { LotView } from '../../core/ledger'
import type { StageFinding } from '../../core/stages'
import type { Wine } from '../../simulator'
import { type Known, NEEDS, NOT_TOGETHER, OUT_OF_ORDER, RACKINGS, UNDOES, knownAs } from './advice-rules'

/** What is wrong with the advice itself, whatever became of the wine: each with its day, once a kind. */
export interface AdviceFaults {
  silent: string[]
  outOfOrder: string[]
  contradicted: string[]
}

/** Looks over the shoulder of whoever follows Presk, and knows the wine. */
export class AdviceWatch {
  readonly faults: AdviceFaults = { silent: [], outOfOrder: [], contradicted: [] }
  private readonly openSince = new Map<string, number>()
  private readonly lastAsked = new Map<string, number>()
  private readonly decided = new Set<string>()
  private sugar: { hours: number, value: number } | undefined
  private eaten = 0

  /** Once a day, whether anybody comes or not. */
  dayPassed(wine: Wine): void {
    if (this.sugar) this.eaten = Math.max(0, ((this.sugar.value - wine.sugar) * 24) / Math.max(1, wine.hours - this.sugar.hours))
    this.sugar = { hours: wine.hours, value: wine.sugar }
  }

  knows = (day: number, wine: Wine, lot: LotView, airL: number): Known =>
    ({ day, wine, lot, airL, eatenPerDay: this.eaten, last: (code) => this.lastAsked.get(code) })

  /** Everything that is due at the start of a visit, with what is told besides. */
  due(day: number, codes: readonly string[]): void {
    for (const [a, b] of NOT_TOGETHER) {
      if (codes.includes(a) && codes.includes(b)) this.report('contradicted', `${a} beside ${b}`, day)
    }
  }

  asked(k: Known, task: StageFinding): void {
    const code = knownAs(task)
    for (const { codes, why, when } of OUT_OF_ORDER) {
      if (codes.includes(code) && when(k, task)) this.report('outOfOrder', `${code}: ${why}`, k.day)
    }
    this.happened(k.day, code)
    this.lastAsked.set('*', k.day)
    if (RACKINGS.includes(code)) this.happened(k.day, 'rack')
  }

  /** Something was asked, told or given. */
  happened(day: number, code: string): void {
    for (const [first, then, days, ...between] of UNDOES) {
      const before = this.lastAsked.get(first)
      // What was measured in between is a reason.
      const isReasoned = between.some((b) => (this.lastAsked.get(b) ?? 0) > (before ?? 0))
      if (then === code && before !== undefined && day - before <= days && day - before > 0.5 && !isReasoned)
        this.report('contradicted', `${first}, then ${then}`, day, `${(day - before).toFixed(0)} d later`)
    }
    this.lastAsked.set(code, day)
  }

  /** Which of its ways out was taken: from then on it is the person's own. */
  decidedOn(day: number, code: string, way: string): void {
    this.decided.add(code)
    this.happened(day, `way:${way}`)
  }

  /** At the end of a visit: what the wine needs, and for how long nobody spoke of it. */
  visited(k: Known): void {
    for (const { code, days, isOpen, answers } of NEEDS) {
      if (!isOpen(k) || answers.some((a) => this.decided.has(a))) {
        this.openSince.delete(code)
        continue
      }
      const since = Math.max(this.openSince.get(code) ?? k.day, ...answers.map((a) => this.lastAsked.get(a) ?? 0))
      if (!this.openSince.has(code)) this.openSince.set(code, k.day)
      if (k.day - since > days) this.report('silent', code, k.day, `${(k.day - since).toFixed(0)} d`)
    }
  }

  private report(kind: keyof AdviceFaults, what: string, day: number, more = ''): void {
    if (this.faults[kind].some((said) => said.startsWith(what))) return
    this.faults[kind].push(`${what}${more && ` (${more})`}, day ${Math.floor(day)}`)
  }
}
