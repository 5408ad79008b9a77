import type { Knex } from 'knex';
import { up as house } from './001_house';
import { up as counter } from './002_counter';
import { up as learning } from './003_learning';
import { up as practice } from './004_practice';
import { up as gauges } from './005_gauges';
import { up as pace } from './006_pace';
import { up as honest } from './007_honest';
import { up as book } from './008_book';
import { up as signs } from './009_signs';
import { up as economy } from './010_economy';
import { up as stepsLeft } from './011_steps';
import { up as doors } from './012_doors';
import { up as keys } from './013_keys';
import { up as strip } from './014_strip';
import { up as agree } from './015_agree';
import { up as rounds } from './016_rounds';
import { up as service } from './017_service';
import { up as shown } from './018_shown';
import { up as instruments } from './019_instruments';

/** Steps in order; a step that has run is never changed. */
export const steps: Record<string, string> = {
  '001_house': house,
  '002_counter': counter,
  '003_learning': learning,
  '004_practice': practice,
  '005_gauges': gauges,
  '006_pace': pace,
  '007_honest': honest,
  '008_book': book,
  '009_signs': signs,
  '010_economy': economy,
  '011_steps': stepsLeft,
  '012_doors': doors,
  '013_keys': keys,
  '014_strip': strip,
  '015_agree': agree,
  '016_rounds': rounds,
  '017_service': service,
  '018_shown': shown,
  '019_instruments': instruments,
};

/** Migrations as a static map: no files are read when they run. */
export const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: async () => Object.keys(steps),
  getMigrationName: (name) => name,
  getMigration: async (name) => ({
    up: async (knex) => {
      await knex.raw(steps[name]!);
    },
    down: async () => {
      throw new Error('Steps are not taken back: restore a backup.');
    },
  }),
};

export const newestStep = Object.keys(steps).at(-1)!;
