import { answer } from './work'

/** What a thread of the pool runs. */
export default answer
