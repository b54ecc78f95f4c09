import type { LadleFinding, LeesFinding, WildVerdict } from '~~/core/yeast'

export const SOURCE = {
  packet: { label: 'A packet', hint: 'known yeast; the usual' },
  wild: { label: 'Wild yeast', hint: 'a starter from your fruit, checked before you use it' },
  lees: { label: 'Lees of another lot', hint: 'one that has just finished and smells clean' },
  ladle: { label: 'Must of a lot that is fermenting', hint: 'a ladle or a jug of it, while it ferments hard' }
} as const
export type YeastSource = keyof typeof SOURCE

export const WILD_VERDICT: Record<WildVerdict, { title: string, text: string, tone: 'stop' | 'note' | 'good' }> = {
  'throw-away': {
    title: 'Throw it away',
    text: 'The smell would spread to the whole must. Use a packet, or a second starter kept apart.',
    tone: 'stop'
  },
  wait: {
    title: 'Not yet',
    text: 'Less than a third of its sugar has fermented. Keep it at 20 to 25 °C, stir it twice a day, and smell it.',
    tone: 'note'
  },
  ready: { title: 'Ready', text: 'It ferments well and smells clean. Add it to the must now, within 6 °C.', tone: 'good' },
  past: {
    title: 'Past its best',
    text: 'Most of its sugar has fermented and the yeast is tired. Double it with fresh must, wait half a day, and check again.',
    tone: 'note'
  },
  'gave-up': { title: 'It has not started', text: 'After a week it hardly ferments, and other microbes grow. Use a packet.', tone: 'stop' }
}

export function sayBrought(finding: LeesFinding | LadleFinding): string {
  switch (finding.code) {
    case 'stuck':
      return 'It stuck: its yeast is weak, and the cause may come along.'
    case 'not-over':
      return 'It is still fermenting. Wait until it is dry and the yeast has settled.'
    case 'smelt':
      return 'It smelled of a fault recently, and its yeast carries that over.'
    case 'colour':
      return 'A red would colour a white or rosé.'
    case 'bacteria-unwanted':
      return 'It has malolactic bacteria, and this lot should not have them.'
    case 'tired':
      return `Its yeast has been through ${finding.abv.toFixed(1)} % vol; above 14 it is tired.`
    case 'old':
      return `Dry for ${Math.round(finding.days)} days: its yeast lives for about five.`
    case 'strong-must':
      return `This must can reach ${finding.abv.toFixed(1)} % vol: this yeast may not manage that. Add fresh yeast too.`
    case 'sulphited':
      return `It has ${Math.round(finding.freeMgPerL)} mg/L of free SO₂: the yeast will start slowly.`
    case 'bacteria-come-along':
      return 'Malolactic bacteria come with it. You want them, but they start earlier than usual.'
    case 'unread':
      return 'Read its gravity first: Presk cannot tell how far it has fermented.'
    case 'too-early':
      return `Only ${percent(finding.gone)} of its sugar has fermented: it has few yeast cells yet. Wait, or take more of it.`
    case 'too-late':
      return `${percent(finding.gone)} of its sugar has fermented: its yeast is getting tired. Take more of it, `
        + 'or use its lees once it is dry.'
    case 'too-little':
      return 'There is less of it than this must needs.'
  }
}

const percent = (share: number) => `${Math.round(Math.max(0, Math.min(1, share)) * 100)} %`
