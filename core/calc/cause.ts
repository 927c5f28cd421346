import { diagnose } from '../cause/diagnose'
import { InputError } from '../errors'
import { DUTIES, MATERIALS } from '../document/job'
import type { Observations } from '../cause/observations'
import { calculation, choice, quantity } from './calculation'

export const diagnoseCalculation = calculation({
  name: 'diagnose',
  says: 'probability of every cause with its reasons, and the next checks worth making',
  inputs: {
    material: choice(MATERIALS),
    duty: choice(DUTIES),
    ageYears: quantity(0, 200, 'years'),
    observations: {
      says: 'readings by their keys, each may be missing',
      read(key, value): Observations {
        if (typeof value !== 'object' || value === null || Array.isArray(value))
          throw new InputError(key, value, 'an object of readings')
        return value as Observations
      },
    },
  },
  outputs: { causes: 'list', settled: 'true or false', leading: 'causes', nextChecks: 'list' },
  run({ observations, ...facts }, tables) {
    for (const row of tables.causes.evidence) {
      const value = observations[row.observation]
      if (value === undefined) continue
      const values = Object.keys(row.usual).concat(row.silent ?? [])
      const known = row.bands ? typeof value === 'number' && value >= 0 : values.includes(value as string)
      if (!known)
        throw new InputError(
          `observations.${row.observation}`,
          value,
          row.bands ? 'a depth of soft wood in metres' : `one of ${values.join(', ')}`,
        )
    }
    return { ...diagnose(facts, observations, tables.causes) }
  },
})
