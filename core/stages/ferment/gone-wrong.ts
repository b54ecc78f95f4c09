import { vesselFit } from '../../cellar'
import { type FollowFinding, pressDay } from '../../fermentation'
import type { Finding, Urgency } from '../../findings'
import { type LotView, type Smell, isFermenting } from '../../ledger'
import { MUST_PER_JUICE } from '../../must'
import { type CellarView, type LotForecast, hoursSince } from '../stage'
import { airBeside } from './air'
import { bandOfLot, yeastOfLot } from './ask'
import { believedTemperatures, doubtedReadings, doubtedTemperatures, doubtfulKey } from './doubted'
import { wantingNitrogen } from './feeding'
import { type Phase, goneShare, isOnSkins, phaseOf, pressAsk } from './gone'

export type WrongSays =
  | { code: 'stuck', sg: number, hours: number, probability?: number }
  | { code: 'not-begun', hours: number }
  | { code: 'slow', daysBehind: number }
  | { code: 'may-stop-sweet', probability: number }
  | { code: 'too-hot', celsius: number, max: number, deadly: boolean }
  | { code: 'too-cold', celsius: number, min: number }
  | { code: 'temperature-falls' | 'temperature-rises', from: number, to: number, roomC?: number }
  | { code: 'over-tolerance', potentialAbv: number, toleranceAbv: number }
  | { code: 'under-fed', shortMgPerL: number }
  | { code: 'smells', smell: Exclude<Smell, 'clean' | 'bread' | 'fruit' | 'other'>, phase: Phase }
  | { code: 'brix-in-ferment', brix: number }
  | { code: 'reading-doubtful', sg: number, expectedSg: number }
  | { code: 'float-odd', wrong: readonly FollowFinding[] }
  | { code: 'temperature-doubtful', celsius: number }
  | { code: 'fits-no-ferment' }
  | { code: 'skins-long', days: number }
  | { code: 'little-room', vessel: string, neededL: number, over: boolean }
  /** Air helps early, and harms late. */
  | { code: 'air', phase: Exclude<Phase, 'middle'> }

type Wrong = Finding<WrongSays>
type Found = WrongSays & { key: string, urgency: Urgency, evidence?: readonly string[] }

/** Where there is more than the lot's own page to act on it. */
const LEADS: Partial<Record<WrongSays['code'], 'restart' | 'heat' | 'press' | 'round'>> = {
  stuck: 'restart',
  'too-hot': 'heat',
  'too-cold': 'heat',
  'temperature-falls': 'heat',
  'temperature-rises': 'heat',
  'skins-long': 'press'
}

/** A yeast that shows nothing after so long has not taken: common practice, no source. */
const NOT_BEGUN = { hours: 60, fallSg: 0.0035 } as const
/** Two gravities no further apart are one to a home hydrometer. */
const SAME_SG = 0.002
/** Yeast dies from about here on, °C (common practice, no source). */
const DEADLY_C = 35
/** So much between two looks of a day or so is no mood of the cellar. */
const MOVES = { byC: 4, withinH: 36 } as const
/** Behind what is usual by less than this is within what musts differ. */
const SLOW_H = 30
/** A smell is worth speaking of for so long, h. */
const SMELT_H = 72
const MAY_STOP = 0.35
const SHORT_MG = 40

/** What has gone wrong with a ferment, or will, each with what it rests on. */
export function goneWrong(lot: LotView, cellar: CellarView, now: string): Wrong[] {
  const known = cellar.forecasts?.get(lot.id)
  const fermenting = isFermenting(lot)
  return [
    ...(fermenting ? [...pace(lot, now, known), ...warmth(lot, cellar, now), ...food(lot, cellar), ...room(lot, cellar, known)] : []),
    ...smells(lot, now, known),
    ...doubts(lot, cellar, known),
    ...skins(lot, now)
  ].map(({ evidence, ...f }): Wrong => ({ ...f, task: false, lotId: lot.id, evidence: evidence ?? [], action: { to: LEADS[f.code] ?? 'lot', lotId: lot.id } }))
}

/** Stuck, not begun, slow, or likely to end sweet. One of them, the worst. */
function pace(lot: LotView, now: string, known?: LotForecast): Found[] {
  const sg = lot.series.sg ?? []
  const last = sg.at(-1)
  const evidence = sg.slice(-3).map((p) => p.entryId)
  const original = lot.originalSg?.value
  const idle = last && original !== undefined && original - last.value < NOT_BEGUN.fallSg && known && hoursSince(known.startAt, now)
  if (idle && idle > NOT_BEGUN.hours && !lot.repitchedAt) return [{ code: 'not-begun', key: 'not-begun', hours: idle, urgency: 'now', evidence }]
  const said = known?.forecast.findings.find((f) => f.code === 'stuck')
  if (last && (lot.alcoholic === 'stuck' || said)) {
    // It stands since the first look that was as low.
    const standing = sg[sg.findLastIndex((p) => p.value > last.value + SAME_SG) + 1]
    const probability = said && 'probability' in said ? said.probability : undefined
    return [
      {
        code: 'stuck',
        key: `stuck:${last.entryId}`,
        sg: last.value,
        hours: hoursSince(standing?.at ?? last.at, now),
        ...(probability !== undefined && { probability }),
        urgency: 'now',
        evidence
      }
    ]
  }
  if (!known) return []
  const { forecast, usual } = known
  if (forecast.stopsSweet > MAY_STOP && sg.length > 1)
    return [{ code: 'may-stop-sweet', key: 'may-stop-sweet', probability: forecast.stopsSweet, urgency: 'soon', evidence }]
  const behind = (forecast.dry?.midHours ?? 0) - (usual.dry?.highHours ?? Infinity)
  return behind > SLOW_H && goneShare(lot, known) > 0.05
    ? [{ code: 'slow', key: 'slow', daysBehind: behind / 24, urgency: 'soon', evidence }]
    : []
}

function warmth(lot: LotView, cellar: CellarView, now: string): Found[] {
  const series = believedTemperatures(lot)
  const last = series.at(-1)
  if (!last) return []
  const evidence = [last.entryId]
  const { min, max } = bandOfLot(lot, cellar.cards)
  const found: Found[] = []
  const deadly = last.value >= DEADLY_C
  if (last.value > max + 0.5)
    found.push({ code: 'too-hot', key: `too-hot:${deadly}`, celsius: last.value, max, deadly, urgency: deadly ? 'stop' : 'now', evidence })
  const before = series.findLast((p) => p !== last && hoursSince(p.at, last.at) >= 6)
  const air = airBeside(lot, cellar.vessels, now)
  const moved = before && hoursSince(before.at, last.at) <= MOVES.withinH ? last.value - before.value : 0
  const told = before && {
    from: before.value,
    to: last.value,
    ...(air && { roomC: air.value }),
    urgency: 'now' as const,
    evidence: [before.entryId, last.entryId, ...(air ? [air.entryId] : [])]
  }
  // Where the room is known to be warmer than the must it is not the room that cools it.
  if (told && moved <= -MOVES.byC && !(air && air.value > last.value + 1))
    found.push({ code: 'temperature-falls', key: `falls:${last.entryId}`, ...told })
  else if (told && moved >= MOVES.byC && air && air.value > last.value && last.value > max - 1)
    // Yeast warms its must too, but not to a room that is warmer still.
    found.push({ code: 'temperature-rises', key: `rises:${last.entryId}`, ...told })
  else if (last.value < min - 0.5)
    found.push({ code: 'too-cold', key: 'too-cold', celsius: last.value, min, urgency: 'soon', evidence })
  return found
}

/** More sugar than the yeast bears, and less nitrogen than it needs when it is too late to give any. */
function food(lot: LotView, cellar: CellarView): Found[] {
  const yeast = yeastOfLot(lot, cellar.cards)
  const known = cellar.forecasts?.get(lot.id)
  const over = known?.forecast.findings.find((f) => f.code === 'over-tolerance')
  const short = wantingNitrogen(lot, cellar.cards) - (lot.nitrogenGiven?.value ?? 0)
  return [
    ...(over?.code === 'over-tolerance' && yeast
      ? [{ ...over, key: 'over-tolerance', urgency: 'soon' as const, evidence: lot.originalSg?.from ?? [] }]
      : []),
    ...(lot.plan.nutrient === 'by-nitrogen' && goneShare(lot, known) >= 2 / 3 && short > SHORT_MG
      ? [{ code: 'under-fed' as const, key: 'under-fed', shortMgPerL: short, urgency: 'note' as const, evidence: lot.nitrogenGiven?.from ?? [] }]
      : [])
  ]
}

const FAULTS = ['rotten-egg', 'vinegar', 'nail-varnish'] as const

function smells(lot: LotView, now: string, known?: LotForecast): Found[] {
  const { smelt } = lot
  if (!smelt || hoursSince(smelt.at, now) > SMELT_H) return []
  return FAULTS.filter((f) => smelt.smells.includes(f)).map((smell) => ({
    code: 'smells' as const,
    smell,
    phase: phaseOf(lot, known),
    key: `smells:${smell}:${smelt.entryId}`,
    urgency: 'now' as const,
    evidence: [smelt.entryId]
  }))
}

/** Readings that cannot all be right. */
function doubts(lot: LotView, cellar: CellarView, known?: LotForecast): Found[] {
  const raw = cellar.problems.filter((p) => p.code === 'brix-in-ferment' && p.lotId === lot.id).at(-1)
  const doubted = doubtedReadings(lot, known).map(
    ({ point, expectedSg }): Found => ({
      code: 'reading-doubtful',
      key: doubtfulKey(point.entryId),
      sg: point.value,
      expectedSg,
      urgency: 'soon',
      evidence: [point.entryId]
    })
  )
  return [
    ...(raw?.code === 'brix-in-ferment'
      ? [{ code: 'brix-in-ferment' as const, key: `brix:${raw.entryId}`, brix: raw.brix, urgency: 'soon' as const, evidence: [raw.entryId] }]
      : []),
    ...doubted,
    ...floats(lot, cellar),
    ...doubtedTemperatures(lot).map(
      (p): Found => ({ code: 'temperature-doubtful', key: doubtfulKey(p.entryId), celsius: p.value, urgency: 'soon', evidence: [p.entryId] })
    ),
    ...(known && !known.forecast.fits ? [{ code: 'fits-no-ferment' as const, key: 'fits-no-ferment', urgency: 'soon' as const }] : [])
  ]
}

/** Silence this long is more than a radio's mood, h. */
const SILENT_H = 12

/** What a followed float sent that was left out, or did not send. */
function floats(lot: LotView, cellar: CellarView): Found[] {
  const wrong = cellar.followed?.get(lot.id) ?? []
  if (wrong.length === 0 || !isFermenting(lot)) return []
  const silent = wrong.some((w) => w.code === 'gap' && w.hours >= SILENT_H)
  // Another kind of fault comes back after this one was seen and left.
  const kinds = [...new Set(wrong.map((w) => w.code))].sort().join('+')
  return [{ code: 'float-odd', key: `float-odd:${kinds}${silent ? ':silent' : ''}`, wrong, urgency: silent ? 'soon' : 'note' }]
}

/** A cap or foam wants room while it works; and whether it wants air. */
function room(lot: LotView, cellar: CellarView, known?: LotForecast): Found[] {
  const phase = phaseOf(lot, known)
  const skins = isOnSkins(lot)
  const found: Found[] = phase === 'middle' ? [] : [{ code: 'air', key: `air:${phase}`, phase, urgency: 'note' }]
  if (phase === 'late') return found
  for (const [vesselId, litres] of lot.contents) {
    const vessel = cellar.vessels.get(vesselId)
    if (!vessel) continue
    // Musts of fresh fruit are reckoned by their juice; in the vessel the skins come on top.
    const filled = skins && lot.stream !== 'frozen' ? litres * MUST_PER_JUICE : litres
    const { verdict, neededL } = vesselFit(vessel.capacityL, Math.min(100_000, filled), skins ? 'cap' : 'foam')
    if (verdict === 'tight' || verdict === 'too-small') {
      const over = verdict === 'too-small'
      found.push({ code: 'little-room', key: `little-room:${vesselId}`, vessel: vessel.name, neededL, over, urgency: over ? 'now' : 'soon' })
    }
  }
  return found
}

/** Longer on its skins than any school leaves it. */
function skins(lot: LotView, now: string): Found[] {
  if (!isOnSkins(lot) || !lot.sg || lot.alcoholic === 'none') return []
  const days = hoursSince(lot.startedAt, now) / 24
  if (days > 120 || lot.volume.value < 1) return []
  const long = pressDay(pressAsk(lot, now)).findings
  return long.some((f) => f.code === 'skins-long') ? [{ code: 'skins-long', key: 'skins-long', days, urgency: 'soon', evidence: lot.sg.from }] : []
}
