import { isAway } from '../database/away';

/**
 * What of an error goes into the log: what kind it was and where, and never what a site holds. Errors of the
 * database carry the statement, its parameters and values in their messages, so those are left out.
 */
export function logFault(what: string, error: unknown): void {
  const { name, code, message, stack, driverError, query } = error as {
    name?: string;
    code?: string;
    message?: string;
    stack?: string;
    driverError?: { code?: string; constraint?: string; table?: string };
    query?: string;
  };
  const database = driverError ?? (query !== undefined || /^[0-9A-Z]{5}$/.test(code ?? ''));
  const where = (isAway(error) ? undefined : stack)
    ?.split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 6)
    .join('\n');
  const kind = database
    ? `${name ?? 'Error'} of the database, ${driverError?.code ?? code ?? 'without a code'}`
    : `${name ?? 'Error'}: ${message ?? String(error)}`;
  console.error(`${what}: ${kind}${where ? '\n' + where : ''}`);
}
