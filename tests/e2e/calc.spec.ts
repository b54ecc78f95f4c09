import { connect } from 'node:net'
import { entriesOf, on } from '../../core/stages/histories.fixture'
import { MISTAKES, SPOKEN_WRONGLY } from '../../core/stages/histories.rows.fixture'
import { CELLAR_FORMAT, CELLAR_VERSION } from '../../core/ledger'
import { expect, test } from './fixtures'

test('the calculations answer over HTTP, and refuse plainly', async ({ request, baseURL }) => {
  const list = await (await request.get('/api/calc')).json()
  expect(list.calculations.map((c: { name: string }) => c.name)).toEqual(
    expect.arrayContaining(['sugar-scales', 'acids', 'targets', 'sulphite-dose', 'blend'])
  )
  const dose = await request.post('/api/calc/sulphite-dose', {
    data: { ph: 3.5, volumeL: 100, targetMolecularMgPerL: 0.8, salt: 'potassium-metabisulphite' }
  })
  expect(dose.status()).toBe(200)
  expect((await dose.json()).targetFreeMgPerL).toBeCloseTo(40, 0)

  const bad = await request.post('/api/calc/titration', { data: { sampleMl: -1, titrantMl: 6, normality: 0.1 } })
  expect(bad.status()).toBe(400)
  expect(await bad.json()).toMatchObject({ field: 'sampleMl', reason: 'must be at least 0.5' })
  const text = await request.post('/api/calc/titration', { data: 'not json', headers: { 'content-type': 'application/json' } })
  expect([text.status(), (await text.json()).field]).toEqual([400, 'body'])
  expect((await request.post('/api/calc/blend', { data: { parts: 'x'.repeat(70_000) } })).status()).toBe(413)
  // A body of unknown length is cut off at the limit as well.
  const chunked = await fetch(`${baseURL}/api/calc/blend`, {
    method: 'POST',
    body: new Blob(['x'.repeat(300_000)]).stream(),
    duplex: 'half'
  } as RequestInit)
  expect(chunked.status).toBe(413)
  const wrongWay = await request.get('/api/calc/blend')
  expect([wrongWay.status(), wrongWay.headers()['allow'], (await wrongWay.json()).allowed]).toEqual([405, 'POST', ['POST']])
  const nowhere = await request.get('/api/nothing/here')
  expect([nowhere.status(), (await nowhere.json()).calculations]).toEqual([404, '/api/calc'])
  const unknown = await request.post('/api/calc/alchemy', { data: {} })
  expect(unknown.status()).toBe(404)
  expect((await unknown.json()).calculations).toContain('alcohol')
  const elsewhere = await request.get('/openapi.json')
  expect([elsewhere.status(), (await elsewhere.json()).openapi]).toEqual([404, '/api/openapi.json'])
  expect((await (await request.get('/api/openapi.json')).json()).paths['/api/calc/alcohol'].post.requestBody.required).toBe(true)
})

test('the server turns away what cannot be meant, and says nothing of what it is made with', async ({ request, baseURL }) => {
  const { hostname, port } = new URL(baseURL!)
  const withHost = (host: string) =>
    new Promise<number>((done, fail) => {
      const socket = connect(Number(port), hostname, () => socket.write(`GET /api/health HTTP/1.1\r\nHost: ${host}\r\nConnection: `
        + `close\r\n\r\n`))
      let answer = ''
      socket.on('data', (data) => (answer += data)).on('error', fail).on('end', () => done(Number(answer.split(' ')[1])))
    })
  expect([await withHost('no host'), await withHost('<x>'), await withHost('localhost:4173')]).toEqual([400, 400, 200])
  const posted = await request.post('/lots')
  expect([posted.status(), posted.headers()['allow']]).toEqual([405, 'GET, HEAD'])
  expect((await request.get('/lots/none')).headers()['x-powered-by']).toBeUndefined()
  expect((await request.get('/sw.js.map')).headers()['content-type']).not.toContain('json')
})

test('a calculation of any size leaves the server answering', async ({ request }) => {
  const scattered = Array.from({ length: 900 }, (_, i) => ({ hours: (i * 37) % 400, sg: 0.99 + ((i * 61) % 100) / 1000 }))
  let answered = false
  const heavy = request.post('/api/calc/ferment-forecast', { data: { originalSg: 1.09, readings: scattered } }).then((response) => {
    answered = true
    return response.status()
  })
  expect((await request.get('/api/health')).status()).toBe(200)
  // By order, not by a clock: health was answered while it was at work.
  expect(answered).toBe(false)
  expect([200, 503]).toContain(await heavy)
})

test('advice over HTTP says of every written history what it must, and nothing that it must not', async ({ request }) => {
  for (const [name, happened, day, says, silent = []] of [...MISTAKES, ...SPOKEN_WRONGLY]) {
    const now = on(day)
    const cellar = { format: CELLAR_FORMAT, version: CELLAR_VERSION, name: 'Histories', exportedAt: now, entries: entriesOf(happened) }
    const response = await request.post('/api/advice', { data: { cellar, now } })
    expect(response.status(), name).toBe(200)
    const { lots } = await response.json()
    const codes: string[] = [...lots[0].tasks, ...lots[0].findings].map((said: { code: string }) => said.code)
    // What a gate still wants, and what the ledger says of an entry, have names of their own here.
    expect(codes, name).toEqual(expect.arrayContaining(says.filter((code) => !code.includes(':'))))
    expect(codes.filter((code) => silent.includes(code)), name).toEqual([])
  }
})
