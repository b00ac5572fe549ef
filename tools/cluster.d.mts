/** A private PostgreSQL cluster, for the tests that need one of their own. */
export interface Cluster {
  readonly folder: string;
  readonly start: () => void;
  readonly url: (database?: string) => string;
  readonly stop: () => void;
  readonly destroy: () => void;
  readonly createDatabase: (name: string) => void;
}
export function cluster(settings: { readonly folder: string; readonly port: number; readonly isForTests: boolean }): Cluster;
export function freePort(): Promise<number>;
