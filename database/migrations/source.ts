import type { Knex } from 'knex'
import * as jobs from './0001_jobs'
import * as photographs from './0002_photographs'
import * as bounded from './0003_bounded'
import * as place from './0004_place'
import * as yard from './0005_yard'
import * as offers from './0006_offers'
import * as record from './0007_record'
import * as people from './0008_people'
import * as packed from './0009_packed'
import * as onceAndOut from './0010_once_and_out'

/* Imported one by one: a built server has no folder of migrations to look into. */
const migrations: Record<string, Knex.Migration> = {
  '0001_jobs': jobs,
  '0002_photographs': photographs,
  '0003_bounded': bounded,
  '0004_place': place,
  '0005_yard': yard,
  '0006_offers': offers,
  '0007_record': record,
  '0008_people': people,
  '0009_packed': packed,
  '0010_once_and_out': onceAndOut,
}

export const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: async () => Object.keys(migrations),
  getMigrationName: (name) => name,
  getMigration: async (name) => migrations[name]!,
}
