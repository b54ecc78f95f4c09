/** A pH meter's electrode and its calibration: it shows what its last calibration makes of the electrode's millivolts. */
export interface Meter {
  /** Of the electrode: what it gives of 59.16 mV for a pH, and its zero, mV. */
  slope: number
  zeroMv: number
  /** What the meter takes them for. */
  believed: { slope: number, zeroMv: number }
}
const NERNST_MV = 59.16
/** Seconds in which what it shows comes half of the way to where it stays. From memory: a home electrode in good order. */
const HALF_S = 7
export const BUFFERS = [7.01, 4.01] as const

export const newMeter = (slope: number, zeroMv: number): Meter => ({ slope, zeroMv, believed: { slope: 1, zeroMv: 0 } })
const millivolts = ({ slope, zeroMv }: Pick<Meter, 'slope' | 'zeroMv'>, ph: number): number => zeroMv - slope * NERNST_MV * (ph - 7.01)

/**
 * What it shows after so many seconds in a liquid.
 * @param from what it showed before
 */
export function shows(meter: Meter, ph: number, seconds: number, from: number): number {
  const mv = millivolts(meter, ph)
  const end = 7.01 - (mv - meter.believed.zeroMv) / (meter.believed.slope * NERNST_MV)
  return end + (from - end) * 0.5 ** (seconds / HALF_S)
}

/**
 * Calibrated in a buffer: it believes that what it shows now is the buffer. First 7.01, which sets the zero, then 4.01, for the slope.
 * @param shown what it shows when the button is pressed; too early, and it learns that
 */
export function calibrate(meter: Meter, buffer: (typeof BUFFERS)[number], shown: number): Meter {
  const { believed } = meter
  const mv = believed.zeroMv - believed.slope * NERNST_MV * (shown - 7.01)
  if (buffer === 7.01) return { ...meter, believed: { ...believed, zeroMv: mv } }
  return { ...meter, believed: { ...believed, slope: Math.min(1.2, Math.max(0.6, (mv - believed.zeroMv) / (NERNST_MV * (7.01 - 4.01)))) } }
}
