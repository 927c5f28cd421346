import type { InferType } from 'yup'
import type { daySchema } from './daySchema'
import type { liftSchema, pourCheckSchema, pourSchema } from './pourSchema'
import type { asBuiltSchema, ENTRY_VALUES, entrySchema, visitSchema } from './recordSchema'
import type { gateSchema, lineSetOutSchema } from './setOutSchema'
import type { jobSchema } from './jobSchema'
import type { lineSchema, markSchema } from './lineSchema'
import type { judgementSchema, readingNoteSchema, readingSchema } from './observationsSchema'
import type { photographSchema } from './photographSchema'
import type { footingSchema, postSchema } from './postSchema'
import type { holeSchema, repairSchema } from './repairSchema'
import type { siteSchema } from './siteSchema'

/*
 * The job document: the one truth of a job, as its schema has it. All parts are optional but names, stations
 * and identities; `plan()` says what it assumed for the rest. Keys that this version does not know are kept
 * and written back. This file is types alone, so that whoever needs only these loads no schema.
 */

export type Job = InferType<typeof jobSchema>
export type Site = InferType<typeof siteSchema>
export type Line = InferType<typeof lineSchema>
/** Something along the line that a hole has to keep clear of; `offset` is positive to the right of the line. */
export type Mark = InferType<typeof markSchema>
export type Post = InferType<typeof postSchema>
export type Footing = InferType<typeof footingSchema>
export type Gate = InferType<typeof gateSchema>
/** How a line is set out: its top, its strings, how posts are cut. */
export type LineSetOut = NonNullable<InferType<typeof lineSetOutSchema>>
export type SteadyLoad = NonNullable<Post['steadyLoad']>
export type RepairChoice = InferType<typeof repairSchema>
/** `fillTop` is the top of the fill below finished ground, negative above it. */
export type Hole = InferType<typeof holeSchema>
/** A photograph of a post; the picture itself is stored beside the document, under its identity. */
export type Photograph = InferType<typeof photographSchema>
/** The days that it is worked on, with who and what. */
export type DaySetup = NonNullable<InferType<typeof daySchema>>
/** Concrete or resin that was started at a post. */
export type Pour = InferType<typeof pourSchema>
export type PourCheck = InferType<typeof pourCheckSchema>
/** Something that was done at a post or met there, kept for good. */
export type Entry = InferType<typeof entrySchema>
export type EntryKind = Entry['kind']
/** What an entry of a kind says. */
export type EntryValue<K extends EntryKind> = InferType<(typeof ENTRY_VALUES)[K]>
export type AsBuilt = InferType<typeof asBuiltSchema>
export type Visit = InferType<typeof visitSchema>
export type Lift = InferType<typeof liftSchema>
/** What a person says of the cause, beside what the readings say: both are kept. */
export type Judgement = InferType<typeof judgementSchema>
export type Verdict = NonNullable<Judgement['found']>
/** Who read what, when and with what; kept for good. */
export type Reading = InferType<typeof readingSchema>
export type ReadingNote = NonNullable<InferType<typeof readingNoteSchema>>

export type Duty = NonNullable<Post['duty']>
export type FootingKind = Footing['kind']
export type MarkKind = Mark['kind']
export type Service = NonNullable<Mark['service']>
export type { Coordinates } from './lineSchema'
