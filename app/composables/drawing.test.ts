import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, ref, shallowRef, watch } from 'vue'
import { unchanged, unchangedEach } from './unchanged'

// Nuxt imports these by itself; here it is done by hand. A part is mounted at once, and removed when a test says so.
const leaving: (() => void)[] = []
const removed: string[] = []
let last: { onPause: () => void, onResume: () => void } | undefined
vi.stubGlobal('ref', ref)
vi.stubGlobal('shallowRef', shallowRef)
vi.stubGlobal('computed', computed)
vi.stubGlobal('watch', watch)
vi.stubGlobal('window', {})
vi.stubGlobal('onMounted', (work: () => void) => work())
vi.stubGlobal('onBeforeUnmount', (work: () => void) => leaving.push(work))
vi.stubGlobal('useToast', () => ({
  add: (message: typeof last) => ((last = message), { id: `m${removed.length}` }),
  remove: (id: string) => removed.push(id)
}))
const { useMessage } = await import('./useMessage')
const { useGradually } = await import('./useGradually')
const { useSoon } = await import('./useSoon')
const { useTerm } = await import('./useTerm')

beforeEach(() => {
  vi.useFakeTimers()
  removed.length = 0
  leaving.length = 0
})
afterEach(() => void vi.useRealTimers())

describe('a message', () => {
  it('stays for five seconds', () => {
    useMessage()({ title: 'Logged' })
    vi.advanceTimersByTime(4990)
    expect(removed).toEqual([])
    vi.advanceTimersByTime(20)
    expect(removed).toEqual(['m0'])
  })
  it('stays as long as it is pointed at, then for what it had left, a second at the least', () => {
    useMessage()({ title: 'Logged' })
    vi.advanceTimersByTime(4900)
    last!.onPause()
    vi.advanceTimersByTime(60_000)
    expect(removed).toEqual([])
    last!.onResume()
    vi.advanceTimersByTime(990)
    expect(removed).toEqual([])
    vi.advanceTimersByTime(20)
    expect(removed).toEqual(['m0'])
  })
})

describe('what says the same is the same', () => {
  it('an entry elsewhere leaves a list the very object that it was; one that changes it does not', () => {
    const bottles = ref(0)
    const elsewhere = ref(0)
    const kinds = unchanged(() => [...(elsewhere.value >= 0 ? ['note'] : []), ...(bottles.value > 0 ? ['store'] : [])])
    const first = kinds.value
    elsewhere.value++
    expect(kinds.value).toBe(first)
    bottles.value++
    expect(kinds.value).toEqual(['note', 'store'])
  })
  it('members of a list each by their key', () => {
    const keep = unchangedEach<{ title: string }>()
    const [a, b] = [keep('a', { title: 'Rack it' }), keep('b', { title: 'Rack it' })]
    expect(keep('a', { title: 'Rack it' })).toBe(a)
    expect(keep('b', { title: 'Do nothing' })).not.toBe(b)
    expect(keep('b', { title: 'Do nothing' }).title).toBe('Do nothing')
  })
})

describe('a long list', () => {
  it('is drawn bit by bit to its end, and further when it grows', async () => {
    const wanted = ref(25)
    const drawn = useGradually(() => wanted.value, 4, 10)
    const seen = [drawn.value]
    while (drawn.value < 25) {
      vi.advanceTimersToNextTimer()
      seen.push(drawn.value)
    }
    expect(seen).toEqual([4, 14, 24, 25])
    wanted.value = 40
    await Promise.resolve()
    vi.runAllTimers()
    expect(drawn.value).toBe(40)
  })
  it('is drawn no further when its page is left', () => {
    const drawn = useGradually(() => 100, 4, 10)
    leaving.forEach((leave) => leave())
    vi.runAllTimers()
    expect(drawn.value).toBeLessThanOrEqual(14)
  })
  it('what is below comes some tasks later, and not at all when its page is left', () => {
    const [first, third, never] = [useSoon(), useSoon(3), useSoon(3)]
    vi.advanceTimersToNextTimer()
    expect([first.value, third.value]).toEqual([true, false])
    leaving.at(-1)!()
    vi.runAllTimers()
    expect([third.value, never.value]).toEqual([true, false])
  })
})

describe('a word that is explained', () => {
  const word = () => ({ focus: vi.fn() }) as unknown as HTMLElement & { focus: ReturnType<typeof vi.fn> }
  const body = {}
  it('a second press on it closes it; another word opens; the focus goes back unless it is elsewhere', () => {
    vi.stubGlobal('document', { activeElement: body, body })
    const { asked, explain, close } = useTerm()
    const [lees, ph] = [word(), word()]
    explain('lees', lees, '1')
    expect(asked.value).toMatchObject({ term: 'lees', id: '1' })
    // The card closes on the press, the click follows.
    close()
    explain('lees', lees, '1')
    expect(asked.value).toBeUndefined()
    expect(lees.focus).toHaveBeenCalledOnce()
    vi.advanceTimersByTime(1000)
    explain('lees', lees, '1')
    close()
    // Escape, and at once Enter on the word.
    explain('lees', lees, '1', true)
    expect(asked.value).toMatchObject({ term: 'lees' })
    vi.mocked(lees.focus).mockClear()
    vi.stubGlobal('document', { activeElement: { closest: () => null }, body })
    close()
    explain('ph', ph, '2')
    expect(asked.value).toMatchObject({ term: 'ph' })
    expect(lees.focus).not.toHaveBeenCalled()
  })
})
