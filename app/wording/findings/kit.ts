import type { KitSays } from '~~/core/stages'
import { PACKET_STEP } from '~/wording/crush'
import type { WordsFor } from './say'

export const KIT: WordsFor<KitSays> = {
  packet: ({ name, step, waitsFor, urgency }) => ({
    title: waitsFor || urgency === 'wait' ? `${name}, when its time comes` : `Put in: ${name}`,
    reason:
      waitsFor === 'dryness'
        ? 'It waits for two dry readings, two days apart: neither sorbate nor sulphite stops a ferment.'
        : waitsFor === 'packets-before'
          ? 'After the packets that stabilise it are in.'
          : `${PACKET_STEP[step]}, as the leaflet of the kit says; the leaflet wins over this day.`,
    action: 'Packets'
  })
}
