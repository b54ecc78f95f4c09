import type { KitSays } from '~~/core/stages'
import { PACKET_STEP } from '~/wording/crush'
import type { WordsFor } from './say'

const WAITS = {
  'dryness': 'It waits for two dry readings, two days apart. Neither sorbate nor sulphite stops a ferment.',
  'packets-before': 'It goes in after the packets that stabilise the wine.',
  'gas-out': 'It waits until the gas is out: finings cannot settle in a gassy wine.'
} as const

export const KIT: WordsFor<KitSays> = {
  packet: ({ name, step, waitsFor, urgency }) => ({
    title: waitsFor || urgency === 'wait' ? `${name}: later` : `Add packet: ${name}`,
    reason: waitsFor ? WAITS[waitsFor] : `${PACKET_STEP[step]}. If the kit’s leaflet gives another day, follow the leaflet.`,
    action: 'Open the packets'
  })
}
