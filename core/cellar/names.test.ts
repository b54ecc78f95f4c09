import { describe, expect, it } from 'vitest'
import { namesBy, nextName } from '.'

describe('names of several vessels', () => {
  it.each([
    ['Jug', 1, [], ['Jug']],
    ['Jug', 3, [], ['Jug 1', 'Jug 2', 'Jug 3']],
    ['Jug', 2, ['jug 1', 'Jug 4'], ['Jug 5', 'Jug 6']],
    ['No. # glass', 2, ['No. 1 glass'], ['No. 2 glass', 'No. 3 glass']],
    ['Jug #', 1, ['Jug 1'], ['Jug 2']]
  ])('%s, %d of them', (pattern, count, taken, names) => expect(namesBy(pattern, count, taken)).toEqual(names))
  it.each([
    ['Jug', [], 'Jug'],
    ['Jug', ['jug'], 'Jug 2'],
    ['Jug', ['Jug', 'Jug 2', 'Pail'], 'Jug 3']
  ])('one more %s beside %j', (word, taken, name) => expect(nextName(word, taken)).toBe(name))
})
