import fc from 'fast-check'
import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { type CalendarDay, type SentDays, changesOf, toCalendar, toDayCalendar } from './calendar'

describe('tasks as a calendar (RFC 5545)', () => {
  const tasks = [
    {
      id: 'a',
      at: '2026-10-03T20:00:00.000Z',
      title: 'Albariño: Stir in 26 mL of must, it comes to 33 °C, and a title that is long enough to be folded',
      text: 'One; two, three'
    }
  ]
  it('each has its instant in UTC and an alarm at that instant', async () => {
    const lines = (await toCalendar('Presk', tasks, new Date('2026-10-03T19:00:00Z'))).split('\r\n')
    expect(lines[0]).toBe('BEGIN:VCALENDAR')
    expect(lines).toEqual(
      expect.arrayContaining([
        'VERSION:2.0',
        'DTSTART:20261003T200000Z',
        'DTEND:20261003T200500Z',
        'BEGIN:VALARM',
        'ACTION:DISPLAY',
        'END:VALARM',
        'END:VCALENDAR'
      ])
    )
    expect(lines.find((l) => l.startsWith('TRIGGER'))).toMatch(/PT0S|20261003T200000Z/)
    expect(lines).toContain('DESCRIPTION:One\\; two\\, three')
  })
  it('no line is longer than 75 octets', async () => {
    for (const line of (await toCalendar('Presk', tasks, new Date())).split('\r\n'))
      expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
  })
})

describe('the way in the person’s calendar, read back by another reader', () => {
  const step = (id: string, day: string, title = 'Bottle'): CalendarDay => ({ id, day, title, text: 'Red; 20 L, or so' })
  /** A calendar that takes files in as RFC 5546 asks: by its id, the higher sequence wins, a cancelled event goes. */
  function takeIn(into: Map<string, { day: string, title: string, sequence: number }>, text: string): void {
    for (const part of new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent')) {
      const event = new ICAL.Event(part)
      const held = into.get(event.uid)
      if (held && held.sequence > event.sequence) continue
      if (part.getFirstPropertyValue('status') === 'CANCELLED') into.delete(event.uid)
      else {
        expect(event.startDate.isDate).toBe(true)
        expect(event.endDate.subtractDate(event.startDate).days).toBe(1)
        into.set(event.uid, { day: event.startDate.toString(), title: event.summary, sequence: event.sequence })
      }
    }
  }
  it.each(['Europe/London', 'America/Los_Angeles', 'Pacific/Auckland'])('any run of files leaves what applies, in %s', async (zone) => {
    const before = process.env.TZ
    process.env.TZ = zone
    const days = fc.uniqueArray(fc.tuple(fc.constantFrom('a', 'b', 'c', 'd'), fc.integer({ min: 0, max: 700 })), { selector: ([id]) => id })
    const day = (n: number) => new Date(Date.UTC(2026, 9, 1 + n)).toISOString().slice(0, 10)
    try {
      await fc.assert(fc.asyncProperty(fc.array(days, { minLength: 1, maxLength: 5 }), async (files) => {
        const calendar = new Map<string, { day: string, title: string, sequence: number }>()
        let sent: SentDays = {}
        for (const file of files) {
          const steps = file.map(([id, n]) => step(`${id}@presk`, day(n)))
          sent = changesOf(sent, steps)
          const text = await toDayCalendar('Presk', steps, sent, new Date('2026-10-01T08:00:00Z'))
          takeIn(calendar, text)
          // The same file again changes nothing.
          takeIn(calendar, text)
          expect([...calendar].map(([id, e]) => [id, e.day]).sort()).toEqual(steps.map((s) => [s.id, s.day]).sort())
        }
      }), { numRuns: 40 })
    }
    finally {
      process.env.TZ = before
    }
  })
  it('a file about some lots leaves the steps of the others as they are', () => {
    const sent = changesOf({}, [step('red-1', '2027-01-01'), step('white-1', '2027-01-02')])
    expect(changesOf(sent, [step('red-1', '2027-02-01')], (id) => id.startsWith('red'))).toEqual({
      'red-1': { day: '2027-02-01', title: 'Bottle', sequence: 1 }
    })
  })
  it('what did not change keeps its sequence, what moved and what came back have a higher one', () => {
    const first = changesOf({}, [step('a', '2027-01-01'), step('b', '2027-01-02')])
    const second = changesOf(first, [step('a', '2027-01-01')])
    const third = changesOf(second, [step('a', '2027-03-01'), step('b', '2027-01-02')])
    expect([first.a, second.a, third.a].map((s) => s?.sequence)).toEqual([0, 0, 1])
    expect([first.b, second.b, third.b].map((s) => [s?.sequence, s?.cancelled])).toEqual([[0, undefined], [1, true], [2, undefined]])
  })
})
