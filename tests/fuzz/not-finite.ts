/** Figures within a value that are no numbers, by their path. */
export function notFinite(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [path]
  if (value instanceof Map) return [...value].flatMap(([key, of]) => notFinite(of, `${path}/${String(key)}`))
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, of]) => notFinite(of, `${path}/${key}`))
}
