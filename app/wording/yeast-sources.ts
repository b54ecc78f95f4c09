import type { LeesFinding, WildVerdict } from '~~/core/yeast'

export const SOURCE = {
  packet: { label: 'A packet', hint: 'known yeast; the usual' },
  wild: { label: 'The fruit’s own', hint: 'a starter of wild yeast, judged before it goes in' },
  lees: { label: 'Lees of another lot', hint: 'that has just finished, and smells clean' }
} as const
export type YeastSource = keyof typeof SOURCE

export const WILD_VERDICT: Record<WildVerdict, { title: string, text: string, tone: 'stop' | 'note' | 'good' }> = {
  'throw-away': {
    title: 'Throw it away',
    text: 'What it smells of would be in all of the must. Take a packet, or a second starter that was kept apart.',
    tone: 'stop'
  },
  wait: {
    title: 'Not yet',
    text: 'Less than a third of its sugar is gone. Keep it at 20 to 25 °C, stir it twice a day, and smell it.',
    tone: 'note'
  },
  ready: { title: 'Ready', text: 'It works hard and smells clean: into the must now, within 6 °C of it.', tone: 'good' },
  past: {
    title: 'Past its best',
    text: 'Most of its sugar is gone and the yeast tires. Double it with fresh must, wait half a day, and look again.',
    tone: 'note'
  },
  'gave-up': { title: 'It has not taken', text: 'A week, and it hardly moves: other things grow by now. Take a packet.', tone: 'stop' }
}

export function sayLees(finding: LeesFinding): string {
  switch (finding.code) {
    case 'stuck':
      return 'It stuck: the yeast is weak, and what made it stick comes along.'
    case 'not-over':
      return 'It still ferments. Wait until it is dry; then its yeast has settled.'
    case 'smelt':
      return 'It smelt of a fault within the last days. That goes with its lees.'
    case 'colour':
      return 'Lees of a red would colour a white or rosé.'
    case 'bacteria-unwanted':
      return 'Malolactic bacteria are in it, and this lot is not to have them.'
    case 'tired':
      return `Its yeast has borne ${finding.abv.toFixed(1)} % vol: tired beyond 14.`
    case 'old':
      return `Dry for ${Math.round(finding.days)} days: lees live for about five.`
    case 'strong-must':
      return `This must can reach ${finding.abv.toFixed(1)} % vol: yeast on its second must may not. Fresh yeast beside it is safer.`
    case 'sulphited':
      return `It has ${Math.round(finding.freeMgPerL)} mg/L of free SO₂: the yeast starts slower.`
    case 'bacteria-come-along':
      return 'Malolactic bacteria come along with the lees. Wanted here, but earlier than usual.'
  }
}
