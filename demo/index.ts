import { DAY_MS, HOUR_MS } from '~~/core/units'
import type { CellarFile, Draft, Entry, Fact } from '../core/ledger'
import { CELLAR_FORMAT, CELLAR_VERSION } from '../core/ledger/schema'
import { albarino } from './albarino'
import { barbera } from './barbera'
import { blaufrankisch } from './blaufrankisch'
import { bobal } from './bobal'
import { blocks } from './blocks'
import { equipment } from './equipment'
import { godello } from './godello'
import { grenache } from './grenache'
import { carignan, graciano, loureiro, macabeo, moscatel } from './last-year'
import { yearOf } from './put'
import { treixadura } from './treixadura'
import { store } from './store'
import { mencia } from './mencia'
import { tempranillo } from './tempranillo'

/**
 * The demo: an invented household, the Larkrise cellar, with fourteen lots in four streams and all stages up to wines in their
 * bottles, dry, sweet and sparkling, a blend, two blocks that ripen, a store, and fruit still to come. All figures are made up; dates count
 * back from the day, and crush day from the hour, at which it is laid out, so that its clocks stand the same whenever it is opened.
 */
export function demoCellar(now: Date): CellarFile {
  const entries: Entry[] = []
  const slots = new Map<string, number>()
  const put = (daysAgo: number, hour: number, draft: Draft<Fact>): void => {
    const day = new Date(now)
    // Within an hour in the order in which they are told.
    const slot = `${daysAgo}|${hour}`
    const told = slots.get(slot) ?? 0
    slots.set(slot, told + 1)
    day.setHours(hour, Math.min(59, told * 3), told < 20 ? 0 : told - 20, 0)
    day.setTime(day.getTime() - daysAgo * DAY_MS)
    // Nothing in the demo lies ahead of the clock, however early it is opened.
    const at = new Date(Math.min(day.getTime(), now.getTime() - 60_000)).toISOString()
    entries.push({ id: `demo-${String(entries.length).padStart(5, '0')}`, device: 'demo-device', at, written: at, ...draft } as Entry)
  }
  const ago = (hours: number, draft: Draft<Fact>): void => {
    const at = new Date(now.getTime() - hours * HOUR_MS).toISOString()
    entries.push({ id: `demo-${String(entries.length).padStart(5, '0')}`, device: 'demo-device', at, written: at, ...draft } as Entry)
  }
  equipment(put)
  store(put, now)
  blocks(put)
  loureiro(put, yearOf(now, 421))
  macabeo(put, yearOf(now, 421))
  moscatel(put, yearOf(now, 421))
  graciano(put, yearOf(now, 419))
  carignan(put, yearOf(now, 421))
  grenache(put, yearOf(now, 96))
  godello(put, yearOf(now, 104))
  bobal(put, yearOf(now, 58))
  barbera(put)
  treixadura(ago)
  mencia(ago, yearOf(now, 11))
  blaufrankisch(ago)
  albarino(ago)
  tempranillo(ago, yearOf(now, 0))
  return { format: CELLAR_FORMAT, version: CELLAR_VERSION, exportedAt: now.toISOString(), name: 'The Larkrise cellar', entries }
}
