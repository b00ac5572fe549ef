import { DataSource } from 'typeorm';
import { dataSourceOptions } from './data-source.js';
import { alone } from './locks.js';

/** Brings the schema up to what this server needs; several that start at once do it once. */
export async function prepareSchema(databaseUrl: string): Promise<void> {
  await alone(databaseUrl, 'start', async () => {
    const source = new DataSource({ ...dataSourceOptions(databaseUrl), extra: { max: 1, connectionTimeoutMillis: 5000 } });
    await source.initialize();
    try {
      await source.runMigrations({ transaction: 'each' });
    } finally {
      await source.destroy();
    }
  });
}
