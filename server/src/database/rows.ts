import type { DataSource, EntityManager } from 'typeorm';

/**
 * Rows of a statement sent as it stands.
 * The row type is the caller's promise about its own SELECT list: the driver cannot know it.
 */
export async function rows<Row>(source: DataSource | EntityManager, sql: string, parameters: readonly unknown[]): Promise<readonly Row[]> {
  const found: unknown = await source.query(sql, [...parameters]);
  return found as Row[]; // see above
}
