import { ASKED, checkAsked } from '../../instruments/asked'
import { floatReadings } from '../../instruments/float'

/** A simulated floating hydrometer: its readings between two instants. */
export default defineEventHandler((event) => {
  const checked = checkAsked(ASKED.float, getQuery(event))
  if (checked.ok) return { simulated: true, readings: floatReadings(checked.asked) }
  setResponseStatus(event, 400)
  return { error: 'bad query', field: checked.field, reason: checked.reason }
})
