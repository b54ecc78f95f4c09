/** "bread, fruit and vinegar"; parts that have commas of their own are kept apart by semicolons. */
export function listed(words: readonly string[]): string {
  if (words.length < 2) return words.join('')
  return words.some((word) => word.includes(',')) ? words.join('; ') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`
}
