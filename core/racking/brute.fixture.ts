import type { RackingAsked } from '.'

/**
 * Every way to rack a small cellar in whole litres: from the start all pours of all amounts, level by level, so that each state is known
 * by its fewest moves. A way of its own, that knows no assignment and no ring.
 */
export function bruteForce(asked: RackingAsked): { without: number, air: number, moves: number } {
  const { wines, vessels } = asked
  const mix = new Set((asked.mayMix ?? []).flatMap(([a, b]) => [`${a}|${b}`, `${b}|${a}`]))
  // A state: per vessel and wine the litres, whether old lees of it are still in there, and per wine what waits outside.
  const W = wines.length
  const V = vessels.length
  type State = { held: number[][], lees: boolean[], outside: number[] }
  const start: State = {
    held: vessels.map((v) => wines.map((w) => (v.wineId === w.id ? v.litres! : 0))),
    lees: vessels.map((v) => v.wineId !== undefined && wines.some((w) => w.id === v.wineId && w.offLees === true)),
    outside: wines.map((w) => (vessels.some((v) => v.wineId === w.id) ? 0 : w.litres))
  }
  const key = (s: State) => JSON.stringify([s.held, s.lees, s.outside])
  const sum = (a: number[]) => a.reduce((x, y) => x + y, 0)
  const all = sum(wines.map((w) => w.litres))
  const best = { without: Infinity, air: Infinity, moves: Infinity }
  const judge = (s: State, moves: number) => {
    // At the end nothing stands in what must not be used, nor on its old lees: it has no vessel.
    let [stored, air] = [0, 0]
    for (let v = 0; v < V; v++) {
      const here = sum(s.held[v]!)
      const counts = here > 0 && vessels[v]!.usable !== false && !s.lees[v]
      if (counts) {
        stored += here
        air += vessels[v]!.capacityL - here
      }
    }
    const now = { without: all - stored, air, moves }
    const less = now.without - best.without || now.air - best.air || now.moves - best.moves
    if (less < 0) Object.assign(best, now)
  }
  let layer = [start]
  const seen = new Set([key(start)])
  for (let moves = 0; layer.length > 0 && moves <= 9; moves++) {
    const next: State[] = []
    // What is poured away costs no move: all states that come of it belong to this layer too.
    for (let i = 0; i < layer.length; i++) {
      const s = layer[i]!
      judge(s, moves)
      for (let v = 0; v < V; v++) {
        for (let w = 0; w < W; w++) {
          if (s.held[v]![w]! === 0) continue
          const away = { held: s.held.map((h) => [...h]), lees: [...s.lees], outside: [...s.outside] }
          away.held[v]![w]! -= 1
          if (sum(away.held[v]!) === 0) away.lees[v] = false
          if (!seen.has(key(away))) {
            seen.add(key(away))
            layer.push(away)
          }
        }
      }
    }
    for (const s of layer) {
      for (let from = -1; from < V; from++) {
        for (let w = 0; w < W; w++) {
          const there = from < 0 ? s.outside[w]! : s.held[from]![w]!
          // A mixture is poured no more: it stays as it is.
          if (there === 0 || (from >= 0 && s.held[from]!.some((x, o) => o !== w && x > 0))) continue
          for (let to = 0; to < V; to++) {
            if (to === from || vessels[to]!.usable === false || s.lees[to]) continue
            if (s.held[to]!.some((x, o) => o !== w && x > 0 && !mix.has(`${wines[o]!.id}|${wines[w]!.id}`))) continue
            const room = vessels[to]!.capacityL - sum(s.held[to]!)
            for (let litres = 1; litres <= Math.min(there, room); litres++) {
              const then = { held: s.held.map((h) => [...h]), lees: [...s.lees], outside: [...s.outside] }
              if (from < 0) then.outside[w]! -= litres
              else {
                then.held[from]![w]! -= litres
                if (sum(then.held[from]!) === 0) then.lees[from] = false
              }
              then.held[to]![w]! += litres
              if (!seen.has(key(then))) {
                seen.add(key(then))
                next.push(then)
              }
            }
          }
        }
      }
    }
    layer = next
  }
  return best
}
