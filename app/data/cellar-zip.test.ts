import fc from 'fast-check'
import { strFromU8, unzipSync, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import type { Entry } from '~~/core/ledger'
import { parseCellarFile } from './cellar-file'
import { CELLAR_IN_ZIP, cellarFromZip, cellarZip } from './cellar-zip'
import { chosenCellar } from './chosen-file'
import { toCellarFile } from './to-cellar-file'

const LIMIT = 1_000_000
const when = { device: 'd', at: '2026-10-03T08:00:00.000Z', written: '2026-10-03T08:00:00.000Z' }
const started: Entry = { id: 'e-1000001', ...when, type: 'lot-started', lotId: 'lot-zip-1', name: 'Caíño tinto', stream: 'fresh',
  style: 'red', varieties: [], volumeL: 30, volumeIs: 'measured' }
/** The start and the end of a JPEG, and any bytes between: nobody here looks into it. */
const pictureOf = (bytes: Uint8Array) => Uint8Array.from([0xff, 0xd8, ...bytes, 0xff, 0xd9])
const photo = (bytes: Uint8Array) => `data:image/jpeg;base64,${Buffer.from(bytes).toString('base64')}`
const noted = (id: string, bytes: Uint8Array): Entry =>
  ({ id, ...when, type: 'observation', lotId: 'lot-zip-1', what: 'note', text: 'The label', photo: photo(bytes) })
const cellarOf = (...more: Entry[]) => toCellarFile('Ours', [started, ...more], when.at)
const zipOf = (...more: Entry[]) => cellarZip(cellarOf(...more), () => 'Caíño tinto', { 'lots.csv': 'lot,volume\r\n' })

describe('the cellar as a zip', () => {
  it('brings back the same file, and every picture byte for byte', () => {
    fc.assert(
      fc.property(fc.array(fc.uint8Array({ maxLength: 400 }), { maxLength: 4 }), (pictures) => {
        const notes = pictures.map((bytes, i) => noted(`e-200000${i}`, pictureOf(bytes)))
        const zip = zipOf(...notes)
        const read = parseCellarFile(cellarFromZip(zip, LIMIT)!)
        expect(read).toEqual({ ok: true, file: cellarOf(...notes) })
        const inside = unzipSync(zip)
        notes.forEach((n, i) => {
          expect(inside[`pictures/2026-10-03-caino-tinto-${n.id}.jpg`]).toEqual(pictureOf(pictures[i]!))
        })
        expect(strFromU8(inside['tables/lots.csv']!)).toContain('lot,volume')
      }),
      { numRuns: 60 }
    )
  })
  it.each<[string, Uint8Array, number]>([
    ['another zip', zipSync({ 'notes.txt': new Uint8Array(3) }), LIMIT],
    ['one that was cut off', zipOf().slice(0, 60), LIMIT],
    ['one that unpacks to more than is read', zipSync({ [CELLAR_IN_ZIP]: new Uint8Array(5000) }), 4000]
  ])('%s is no cellar, and is said', async (_what, bytes, limit) => {
    expect(cellarFromZip(bytes, limit)).toBeUndefined()
    expect(await chosenCellar(new File([bytes as BlobPart], 'x.zip'), LIMIT > limit ? limit : LIMIT)).toEqual({ ok: false, name: 'x.zip' })
  })
  it('is found by its first bytes, not by its name; anything else is read as it is', async () => {
    const zip = new File([zipOf() as BlobPart], 'cellar.json')
    expect(await chosenCellar(zip, LIMIT)).toMatchObject({ ok: true, text: JSON.stringify(cellarOf(), null, 1) })
    expect(await chosenCellar(new File(['{}'], 'cellar.zip'), LIMIT)).toEqual({ ok: true, name: 'cellar.zip', text: '{}' })
    expect(await chosenCellar(new File(['0123456789'], 'long.json'), 5)).toEqual({ ok: false, name: 'long.json', bytes: 10 })
  })
})
