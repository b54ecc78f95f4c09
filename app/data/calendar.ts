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
