/*
 * How much of anything the program takes: one home for it, so that file, table, tape, route and screen
 * cannot differ.
 */

export const LIMITS = {
  lines: 50,
  /** Of one line: posts, tape readings, rows of a table, places of a course that becomes posts. */
  posts: 2_000,
  /** Of all lines of a job together. */
  postsOfJob: 4_000,
  marks: 500,
  /** Places of a course that is kept. */
  coursePoints: 5_000,
  readings: 1_000,
  photographs: 100,
  conditions: 40,
  commandsInBatch: 500,
  obstacles: 100,
  segments: 20,
  layers: 8,
  /** Of one post: holes of its plate, pulls, and things met in its hole. */
  plateHoles: 12,
  oldHoles: 40,
  pulls: 20,
  met: 20,
  pours: 1_000,
  /** Of one pour: what went in by turns, and its checks. */
  lifts: 200,
  checks: 200,
  /** Three weeks. */
  forecastHours: 504,
  /** Of a plan of days. */
  daysPlanned: 60,
  hires: 40,
  tasksOfDay: 2_000,
  jobsOfDay: 20,
  loaded: 500,
  /** Of the record of a job: its entries, its visits, and what is open at one of them. */
  entries: 20_000,
  visits: 2_000,
  openItems: 40,
  /** Of the yard, in one go: a list that was brought. */
  yardChanges: 5_000,
  /** Of one option of an offer. */
  offerLines: 1_000,
} as const

/** Largest files, bytes. */
export const LARGEST = {
  /** A job file, a table of posts or a line on the earth; a job of 2000 posts has about 1 MB. */
  document: 5e6,
  /** A photograph as the device takes it in, and as the server does. */
  original: 25e6,
  photograph: 16e6,
} as const

/** Letters. */
export const LONGEST = {
  identity: 64,
  lineOrPost: 40,
  key: 60,
  /** Of a task of a day: its job, line, post and step. */
  taskOfDay: 220,
  name: 200,
  person: 100,
  password: 128,
  note: 500,
  /** Of a drawing, as text. */
  drawing: 48_000,
  judgement: 1_000,
  /** Readings of a line of posts, one after the other; and one of them with its gate. */
  tape: 40_000,
  tapeReading: 80,
} as const
