const codes: ReadonlySet<string> = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  '57P01', // admin_shutdown
  '57P02', // crash_shutdown
  '57P03', // cannot_connect_now
  '08000',
  '08003',
  '08006',
  '53300', // too_many_connections
]);

/** True for an error that says the database cannot be reached just now, however deep it is wrapped. */
export function isDatabaseAway(error: unknown): boolean {
  if (typeof error !== 'object' || error === null) return false;
  if ('code' in error && typeof error.code === 'string' && codes.has(error.code)) return true;
  if (
    error instanceof Error &&
    /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error/.test(error.message)
  )
    return true;
  if (error instanceof AggregateError) return error.errors.some(isDatabaseAway);
  return 'driverError' in error && isDatabaseAway(error.driverError);
}
