import fc from 'fast-check'

// The same made-up musts and cellars each time, so that a failure is one of the change in hand. `SEED=random` goes looking for others.
const asked = process.env.SEED
fc.configureGlobal({ seed: asked === 'random' ? Math.floor(Math.random() * 2 ** 31) : Number(asked ?? 20261125) })
