import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'

/** Files of a room, as paths from the root. */
const filesOf = (room: string): string[] =>
  readdirSync(room, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(ts|vue|mjs)$/.test(name) && !name.endsWith('.test.ts'))
    .map((name) => join(room, name))
const holding = (rooms: readonly string[], what: RegExp): string[] =>
  rooms.flatMap(filesOf).filter((path) => what.test(readFileSync(path, 'utf8')))

describe('one door for what has to be careful', () => {
  it.each<[string, readonly string[], RegExp, string[]]>([
    ['charts, whose library takes names for HTML', ['app'], /vue3-apexcharts/, ['app/components/common/AppChart.vue']],
    ['HTML that is set as text', ['app', 'server'], /v-html|innerHTML|insertAdjacentHTML|document\.write/, []]
  ])('%s', (_name, rooms, what, doors) => expect(holding(rooms, what)).toEqual(doors))
})
