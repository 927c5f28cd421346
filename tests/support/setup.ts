import fc from 'fast-check'

/*
 * Properties are tried on the same cases in every run: a case that fails is then a fault of the change at hand, not of
 * the day. `npm run properties` draws its own, and many more.
 */
fc.configureGlobal({ seed: 20_261_124 })
