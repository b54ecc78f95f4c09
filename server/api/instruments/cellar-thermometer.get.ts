import { ASKED, checkAsked } from '../../instruments/asked'
import { cellarReadings } from '../../instruments/cellar-thermometer'

/** A simulated thermometer on the cellar's wall: its readings between two instants. */
export default defineEventHandler((event) => {
  const checked = checkAsked(ASKED.cellar, getQuery(event))
  if (checked.ok) return { simulated: true, readings: cellarReadings(checked.asked) }
  setResponseStatus(event, 400)
  return { error: 'bad query', field: checked.field, reason: checked.reason }
})
