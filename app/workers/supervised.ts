import { type Remote, wrap } from 'comlink'
import { StorageError } from '~/data/cellar-storage'

/** What a worker of ours exposes so that its end is noticed. */
export interface Mortal {
  /** Holds a lock of that name for as long as the worker lives; answers once it has it, false where the browser has no locks. */
  hold(lock: string): Promise<boolean>
}

/** For a worker to expose as its `hold`. */
export function holdForLife(lock: string): Promise<boolean> {
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks
  if (!locks) return Promise.resolve(false)
  return new Promise((held) => {
    void locks.request(lock, () => {
      held(true)
      return new Promise(() => {})
    })
  })
}

/**
 * A worker that is looked after. A call to one that died would never be answered: here it is refused, whoever listens is told, and the next
 * call starts a new one. Its end is seen by the lock that it held, and by the browser's own word where there is one.
 */
export class Supervised<T extends Mortal> {
  private living: { worker: Worker, remote: Remote<T>, died: Promise<never> } | undefined
  private count = 0

  constructor(
    private readonly name: string,
    private readonly make: () => Worker,
    private readonly onDeath: () => void = () => {}
  ) {}

  start(): void {
    this.alive()
  }

  /** Asks the worker something. @throws StorageError of the problem 'worker' when it dies before it answers */
  call<R>(ask: (remote: Remote<T>) => Promise<R>): Promise<R> {
    const { remote, died } = this.alive()
    return Promise.race([ask(remote), died])
  }

  stop(): void {
    this.living?.worker.terminate()
    this.living = undefined
  }

  private alive() {
    if (this.living) return this.living
    const worker = this.make()
    const remote = wrap<T>(worker)
    let fail: (reason: unknown) => void = () => {}
    const died = new Promise<never>((_, reject) => (fail = reject))
    // Nobody may be waiting when it dies.
    died.catch(() => {})
    const mine = { worker, remote, died }
    const dies = () => {
      if (this.living !== mine) return
      this.stop()
      fail(new StorageError(`hear from the ${this.name}`, 'worker', undefined))
      this.onDeath()
    }
    worker.addEventListener('error', dies)
    const lock = `presk-${this.name}-${++this.count}-${Math.floor(performance.now() * 1000)}`
    void (remote as unknown as Mortal).hold(lock).then((held) => {
      // It is given to us when the worker has let go of it: then it is no more.
      if (held) void navigator.locks.request(lock, dies)
    })
    this.living = mine
    return mine
  }
}
