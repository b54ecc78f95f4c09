import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { restsOn } from './rests-on'

/** Ids of one cellar begin alike; some of these end alike too. */
const id = fc.nat(60).map((n) => `01hzy3-${String(n).padStart(4, '0')}`)
const list = fc.uniqueArray(id, { maxLength: 12 })

describe('what a figure rests on', () => {
  it('is every entry once, in their order, the last twelve: as a set would say', () => {
    fc.assert(
      fc.property(fc.option(list, { nil: undefined }), fc.option(list, { nil: undefined }), id, (a, b, last) => {
        expect(restsOn(a, b, last)).toEqual([...new Set([...(a ?? []), ...(b ?? []), last])].slice(-12))
        // One list given twice, which is passed over.
        expect(restsOn(a, a, last)).toEqual([...new Set([...(a ?? []), last])].slice(-12))
      })
    )
  })
})
