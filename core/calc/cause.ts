import { diagnose } from '../cause/diagnose'
import { OBSERVATION_KEYS } from '../cause/observations'
import { observationsSchema } from '../document/observationsSchema'
import { DUTIES } from '../document/vocabulary'
import { InputError } from '../errors'
import { MATERIALS } from '../timber/materials'
import { calculation } from './calculation'
import { choice, flag, optional, quantity, said } from './inputs'

export const diagnoseCalculation = calculation({
  name: 'diagnose',
  says: 'chance that nothing is wrong, probability of every cause if something is, with reasons, and the next checks worth making',
  source: 'naive Bayes with tempered groups; every likelihood with its reason in the tables',
  inputs: {
    material: choice(MATERIALS),
    duty: choice(DUTIES),
    ageYears: quantity(0, 200, 'years'),
    pointedAt: optional(flag(), false),
    observations: said('readings by their keys, as in the job file; each may be missing', observationsSchema),
  },
  outputs: {
    nothingWrong: '{ probability, evidence }',
    causes: 'list',
    settled: 'true or false',
    leading: 'causes',
    nextChecks: 'list',
  },
  example: [
    { material: 'oak', duty: 'line', ageYears: 9, observations: { pushPivot: 'panel-only' } },
    { settled: false, nothingWrong: { probability: 0.4592 } },
  ],
  run({ observations = {}, ...facts }, tables) {
    const stranger = Object.keys(observations).find((key) => !(OBSERVATION_KEYS as readonly string[]).includes(key))
    if (stranger !== undefined)
      throw new InputError(
        `observations.${stranger}`,
        (observations as Record<string, unknown>)[stranger],
        `left out: known are ${OBSERVATION_KEYS.join(', ')}`,
      )
    return { ...diagnose(facts, observations, tables.causes) }
  },
})
