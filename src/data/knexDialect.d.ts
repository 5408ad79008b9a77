/** Knex ships no types for its dialects. */
declare module 'knex/lib/dialects/postgres/index.js' {
  import { Knex } from 'knex';
  export default class PgDialect extends Knex.Client {
    _query(connection: object, asked: object): Promise<unknown>;
  }
}
