/** Seconds after which a request that found no database may be sent again. */
export const RETRY_AFTER_S = 2;

/**
 * The database cannot be reached, does not answer in time, or gave up what it was at. Nothing was kept by halves,
 * and what was sent may be sent again: every write is safe to repeat.
 */
export class Unavailable extends Error {
  override readonly name = 'Unavailable';
  constructor(
    /** For the log: what happened. */
    readonly what: string,
    options?: ErrorOptions
  ) {
    super(`The database is not available: ${what}`, options);
  }
}

/** What PostgreSQL says when it ends a connection, starts, is full of them, or a statement took too long. */
const BUSY_OR_GOING = new Set([
  '57014', // query_canceled: over its time
  '57P01', // admin_shutdown
  '57P02', // crash_shutdown
  '57P03', // cannot_connect_now
  '57P05', // idle_session_timeout
  '25P03', // idle_in_transaction_session_timeout
  '25P04', // transaction_timeout
  '53300', // too_many_connections
  '55P03', // lock_not_available: over its time
  '40001', // serialization_failure
  '40P01' // deadlock_detected
]);

const codeOf = (error: unknown): string => String((error as { code?: unknown } | null)?.code ?? '');

/** Whether the connection itself is gone with this error, and nothing more may be sent over it. */
export function isLost(error: unknown): boolean {
  const { name, severity_local: severity } = (error ?? {}) as { name?: string; severity_local?: string };
  if (name === 'PostgresError') return severity === 'FATAL' || severity === 'PANIC';
  const code = codeOf(error);
  return (
    /^(CONNECTION_|CONNECT_TIMEOUT|E[A-Z]+$)/.test(code) ||
    (error instanceof Error && /socket|connection/i.test(error.message) && code === '')
  );
}

/** Whether the same request may well succeed a moment later. */
export const isPassing = (error: unknown): boolean =>
  error instanceof Unavailable || isLost(error) || BUSY_OR_GOING.has(codeOf(error));
