import PgDialect from 'knex/lib/dialects/postgres/index.js';

interface Connection {
  __knex__disposed?: unknown;
  connection?: { stream?: { destroy(): void } };
}

/** What the driver says when it has waited for an answer as long as it was told to. */
export const READ_TIMEOUT = 'Query read timeout';

/**
 * Knex's own client for PostgreSQL, but for one thing: a connection whose answer never came is given up. It would keep the
 * question, and everybody who gets it from the pool next would wait behind that.
 */
export class PgClient extends PgDialect {
  override async _query(connection: Connection, asked: object): Promise<unknown> {
    try {
      return await super._query(connection, asked);
    } catch (error) {
      if ((error as Error).message.includes(READ_TIMEOUT)) {
        connection.__knex__disposed = error;
        connection.connection?.stream?.destroy();
      }
      throw error;
    }
  }
}
