import { describe, expect, it } from 'vitest'
import { toCalendar } from './calendar'

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
