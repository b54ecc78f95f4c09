import { ASKED, checkAsked } from '../../instruments/asked'
import { phReadings } from '../../instruments/ph-meter'

/** A simulated pH meter in a simulated wine: its readings between two instants. */
export default defineEventHandler((event) => {
  const checked = checkAsked(ASKED.phMeter, getQuery(event))
  if (checked.ok) return { simulated: true, readings: phReadings(checked.asked) }
  setResponseStatus(event, 400)
  return { error: 'bad query', field: checked.field, reason: checked.reason }
})
