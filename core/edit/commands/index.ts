import type { CommandKind } from '../command'
import { choosePart } from './choosePart'
import { addEntry } from './addEntry'
import { chooseRepair } from './chooseRepair'
import { putLine } from './putLine'
import { notePour } from './notePour'
import { putMark } from './putMark'
import { putPhotograph } from './putPhotograph'
import { putPost } from './putPost'
import { putPour } from './putPour'
import { putVisit } from './putVisit'
import { renameJob } from './renameJob'
import { setDay } from './setDay'
import { tickLoaded } from './tickLoaded'
import { noteUsed } from './noteUsed'
import { settleLoad } from './settleLoad'
import { setHole } from './setHole'
import { setJudgement } from './setJudgement'
import { setLine } from './setLine'
import { setPost } from './setPost'
import { setPour } from './setPour'
import { setReading } from './setReading'
import { setRepair } from './setRepair'
import { setSite } from './setSite'

/** Every kind of edit there is; the type of a command follows from this list. */
export const commandKinds = [
  renameJob,
  setSite,
  setLine,
  setPost,
  setReading,
  putPost,
  putMark,
  putPhotograph,
  putLine,
  chooseRepair,
  choosePart,
  setRepair,
  setJudgement,
  setHole,
  putPour,
  setPour,
  notePour,
  setDay,
  tickLoaded,
  noteUsed,
  settleLoad,
  addEntry,
  putVisit,
] as const

type CommandOf<K> = K extends CommandKind<infer C> ? C : never
export type Command = CommandOf<(typeof commandKinds)[number]>
