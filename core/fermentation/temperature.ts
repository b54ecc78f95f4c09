export interface TemperatureLook { hours: number, celsius: number }

/** The usual for a style, °C (craft 3.7, common practice). */
export const USUAL_CELSIUS = { red: 25, rose: 17, white: 16 } as const
/** Hours in which a must comes back to what it is held at. */
const COMES_BACK_H = 60
/** Further off than about this it is not held at all, and stays. */
const NOT_HELD_C = 4

/**
 * Temperature over the ferment: straight between looks; after the last it comes back to what it is held at, the less the further it has
 * strayed, since then nobody holds it.
 * @param looks in order of time
 * @param held °C expected
 */
export function temperatureCourse(looks: readonly TemperatureLook[], held: number): (hours: number) => number {
  const [first, last] = [looks[0], looks.at(-1)]
  if (!first || !last) return () => held
  const comesBack = Math.exp(-(((last.celsius - held) / NOT_HELD_C) ** 2))
  return (hours) => {
    if (hours <= first.hours) return first.celsius
    if (hours >= last.hours) {
      return last.celsius + (held - last.celsius) * comesBack * (1 - Math.exp(-(hours - last.hours) / COMES_BACK_H))
    }
    let i = 1
    while (looks[i]!.hours < hours) i++
    const [a, b] = [looks[i - 1]!, looks[i]!]
    return a.celsius + ((b.celsius - a.celsius) * (hours - a.hours)) / Math.max(1e-6, b.hours - a.hours)
  }
}
