import { string } from 'yup'
import { InputError } from '~~/core/errors'

/** A field of a form that the core reads; what it refuses is said at the field. */
export const readWith = (reader: (text: string) => unknown) =>
  string()
    .defined()
    .test('read', (text, { createError }) => {
      try {
        reader(text)
        return true
      } catch (error) {
        if (!(error instanceof InputError)) throw error
        return createError({ message: error.message })
      }
    })
