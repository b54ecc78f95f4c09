/** A thing to do at an instant, for the person's own calendar. */
export interface CalendarTask {
  id: string
  at: string
  title: string
  text?: string
  minutes?: number
}

/**
 * Tasks as an iCalendar document (RFC 5545), each with an alarm at its time: a calendar rings where a locked phone has put a
 * web page to sleep.
 * @param name of the calendar
 * @param tasks instants in ISO UTC
 * @param now stamp of the document
 */
export async function toCalendar(name: string, tasks: readonly CalendarTask[], now: Date): Promise<string> {
  const { default: ical, ICalAlarmType } = await import('ical-generator')
  const calendar = ical({ name, prodId: { company: 'Presk', product: 'Presk', language: 'EN' } })
  for (const task of tasks) {
    const start = new Date(task.at)
    const event = calendar.createEvent({
      id: task.id,
      stamp: now,
      start,
      end: new Date(start.getTime() + (task.minutes ?? 5) * 60_000),
      summary: task.title,
      ...(task.text && { description: task.text })
    })
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: task.title })
  }
  return calendar.toString()
}

/** A step that fills a day. */
export interface CalendarDay {
  /** The same for the same step, whenever the file is made: a second file updates and doubles nothing. */
  id: string
  /** "2027-05-01" */
  day: string
  title: string
  text: string
}
/** What earlier files said of each step, so that a later one can change it or take it back. */
export type SentDays = Record<string, { day: string, title: string, sequence: number, cancelled?: true }>

/**
 * What a new file has to say after earlier ones: a step that moved has a higher sequence, and one that fell away is cancelled once more in
 * every file, for readers that missed it.
 * @param speaksOf which of the earlier steps this file is about: of the others it says nothing, and they stay as they are
 */
export function changesOf(before: SentDays, days: readonly CalendarDay[], speaksOf: (id: string) => boolean = () => true): SentDays {
  const now = Object.fromEntries(days.map(({ id, day, title }): [string, SentDays[string]] => {
    const old = Object.hasOwn(before, id) ? before[id] : undefined
    const same = old !== undefined && !old.cancelled && old.day === day && old.title === title
    return [id, { day, title, sequence: old === undefined ? 0 : same ? old.sequence : old.sequence + 1 }]
  }))
  const fellAway = Object.entries(before).filter(([id]) => !Object.hasOwn(now, id) && speaksOf(id))
  const gone = fellAway.map(([id, old]): [string, SentDays[string]] =>
    [id, old.cancelled ? old : { ...old, sequence: old.sequence + 1, cancelled: true }])
  return { ...Object.fromEntries(gone), ...now }
}

/**
 * Steps as an iCalendar document (RFC 5545): all-day, each with an alarm in the morning of its day.
 * @param sent what {@link changesOf} says of them
 */
export async function toDayCalendar(name: string, days: readonly CalendarDay[], sent: SentDays, now: Date): Promise<string> {
  const { default: ical, ICalAlarmType, ICalCalendarMethod, ICalEventStatus } = await import('ical-generator')
  const calendar = ical({ name, prodId: { company: 'Presk', product: 'Presk', language: 'EN' }, method: ICalCalendarMethod.PUBLISH })
  const texts = new Map(days.map((d) => [d.id, d.text]))
  for (const [id, { day, title, sequence, cancelled }] of Object.entries(sent)) {
    const [year, month, date] = day.split('-').map(Number) as [number, number, number]
    const event = calendar.createEvent({
      id,
      stamp: now,
      // A day has no zone: it is the same one wherever it is read. The library takes days by UTC.
      start: new Date(Date.UTC(year, month - 1, date)),
      end: new Date(Date.UTC(year, month - 1, date + 1)),
      allDay: true,
      summary: title,
      sequence,
      status: cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
      ...(texts.has(id) && { description: texts.get(id)! })
    })
    // At eight of that morning.
    if (!cancelled) event.createAlarm({ type: ICalAlarmType.display, trigger: -8 * 3600, description: title })
  }
  return calendar.toString()
}
