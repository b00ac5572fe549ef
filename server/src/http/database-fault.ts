/** What PostgreSQL or the way to it says went wrong, as far as an answer depends on it. */
export type DatabaseFault =
  /** It may work in a moment: nothing is wrong with what was asked. */
  | { readonly kind: 'passing' }
  /** Something of this name is there already; the constraint says what. */
  | { readonly kind: 'taken'; readonly constraint: string }
  /** What it refers to is not there, or it is still referred to. */
  | { readonly kind: 'gone' }
  /** A value that the column cannot hold. */
  | { readonly kind: 'unfit' };

const away: ReadonlySet<string> = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', 'EAI_AGAIN']);

/**
 * Classes of SQLSTATE (PostgreSQL, Appendix A) that pass by themselves: connection lost, rolled back for a deadlock or a race, no
 * disk or memory left, waiting too long for a lock, cancelled or shut down, trouble of the machine.
 */
const passing = /^(08|40|53|55P03|57|58)/;

/** What TypeORM says when it is asked to go on with a connection that is gone. */
const released: ReadonlySet<string> = new Set([
  'QueryRunnerAlreadyReleasedError',
  'QueryRunnerProviderAlreadyReleasedError',
  'TransactionNotStartedError',
]);

/** @returns what is behind an error, however deep it is wrapped; null where the database is not */
export function databaseFaultOf(error: unknown): DatabaseFault | null {
  if (typeof error !== 'object' || error === null) return null;
  if (error instanceof AggregateError) return error.errors.map(databaseFaultOf).find((fault) => fault !== null) ?? null;
  if ('driverError' in error && error.driverError !== error) {
    const inner = databaseFaultOf(error.driverError);
    if (inner) return inner;
  }
  // the connection of a transaction died under it
  if (error instanceof Error && released.has(error.name)) return { kind: 'passing' };
  if (
    error instanceof Error &&
    /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error|Query read timeout/.test(
      error.message,
    )
  )
    return { kind: 'passing' };
  if (!('code' in error) || typeof error.code !== 'string') return null;
  const { code } = error;
  if (away.has(code) || passing.test(code)) return { kind: 'passing' };
  if (code === '23505') return { kind: 'taken', constraint: 'constraint' in error ? String(error.constraint) : '' };
  if (code === '23503') return { kind: 'gone' };
  return /^(22|23)/.test(code) ? { kind: 'unfit' } : null;
}

/** Whether an error says that something of a name is there already. */
export function isTaken(error: unknown, constraint: string): boolean {
  const fault = databaseFaultOf(error);
  return fault?.kind === 'taken' && fault.constraint === constraint;
}
