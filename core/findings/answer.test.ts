import { describe, expect, it } from 'vitest'
import { answerDrafts } from './answer'
import { isEnded } from './ended'
import type { WayOut } from './finding'

const NOW = '2026-03-01T08:00:00.000Z'
const asked = { key: 'malolactic-wanted:late', lotId: 'lot-a' }
const written = (way: WayOut) => answerDrafts(asked, way, NOW)

describe('taking a way out', () => {
  it.each<[string, WayOut, object[]]>([
    ['one that leads elsewhere writes nothing', { code: 'test-malic', action: { to: 'malolactic', lotId: 'lot-a' } }, []],
    ['what it says of the lot ends the task',
      { code: 'no-malolactic', drafts: [{ type: 'lot-planned', lotId: 'lot-a', malolactic: 'none' }] },
      [{ type: 'lot-planned', lotId: 'lot-a', malolactic: 'none' }]],
    ['waiting rests for its days', { code: 'wait', days: 30 },
      [{ type: 'task-ended', task: asked.key, outcome: 'moved', answer: 'wait', until: '2026-03-31T08:00:00.000Z' }]],
    ['an act that needs time rests as well', { code: 'warm-it', days: 5, drafts: [{ type: 'operation', lotId: 'lot-a', what: 'warm' }] },
      [{ what: 'warm' }, { outcome: 'moved', until: '2026-03-06T08:00:00.000Z' }]],
    ['nothing else to say: not asked again', { code: 'no-instrument' }, [{ outcome: 'not-wanted', answer: 'no-instrument' }]]
  ])('%s', (_, way, expected) => {
    expect(written(way)).toHaveLength(expected.length)
    expect(written(way)).toMatchObject(expected)
  })

  it('what rests is asked again afterwards', () => {
    const [ended] = written({ code: 'wait', days: 30 })
    if (ended?.type !== 'task-ended') throw new Error('not written')
    const by = new Map([[asked.key, { at: NOW, outcome: ended.outcome, times: 1, ...(ended.until && { until: ended.until }) }]])
    expect(isEnded(asked, by, '2026-03-30T08:00:00.000Z')).toBe(true)
    expect(isEnded(asked, by, '2026-04-01T08:00:00.000Z')).toBe(false)
  })
})
