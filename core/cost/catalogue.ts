import type { Kilograms, Metres } from '../units/types'

/** What a row of the yard's list belongs to: its part of the bill. */
export const CATALOGUE_GROUPS = [
  'mix',
  'stone',
  'post',
  'timber',
  'part',
  'fixing',
  'preservative',
  'hire',
  'disposal',
  'labour',
  'travel',
] as const
export type CatalogueGroup = (typeof CATALOGUE_GROUPS)[number]

/** Paid by what it takes, to the minute and the kilogram: nobody opens a pack of it. */
export const SERVICES: readonly CatalogueGroup[] = ['labour', 'travel', 'disposal']

/** What is counted. */
export const CATALOGUE_UNITS = [
  'each',
  'bag',
  'kg',
  'm³',
  'L',
  'h',
  'km',
  'visit',
  'half-day',
  'day',
  'weekend',
] as const
export type CatalogueUnit = (typeof CATALOGUE_UNITS)[number]

export const TAX_KEYS = ['standard', 'reduced', 'none'] as const
export type TaxKey = (typeof TAX_KEYS)[number]

export const COATINGS = ['bare', 'plated', 'hot-dip', 'stainless'] as const
export type Coating = (typeof COATINGS)[number]

/** Something that is bought, hired or paid for. */
export interface CatalogueRow {
  key: string
  name: string
  group: CatalogueGroup
  unit: CatalogueUnit
  /** Units in one pack: it is bought by whole ones. */
  pack: number
  /** Of a pack, whole minor units, before tax. */
  price: number
  tax: TaxKey
  /** Of a unit. */
  mass?: Kilograms
  /** Of a stick; of a fixing under its head. */
  length?: Metres
  /** Of a fixing. */
  coating?: Coating
  /** Sticks of one cross-section: pieces are cut from any of them. */
  stockOf?: string
  /** Where in the yard it is kept. */
  kept?: string
  /** So many are to lie there, do lie there, and are on the van for whatever comes. */
  least?: number
  have?: number
  onVan?: number
  /** Of what is hired: handed back, untaxed, in no total. */
  deposit?: number
}

/** How a workspace reckons. */
export interface CostSettings {
  currency: string
  /** In hundredths. */
  taxes: Record<TaxKey, number>
  markUp: number
  /** On material that is cut or poured. */
  waste: number
  overhead: number
  /** To the site and back, km. */
  distance: number
}
