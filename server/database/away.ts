import {
  CannotExecuteNotConnectedError,
  ConnectionIsNotSetError,
  QueryRunnerAlreadyReleasedError,
  QueryRunnerProviderAlreadyReleasedError,
  TransactionNotStartedError,
} from 'typeorm';

/** What TypeORM says of a connection that was lost between two statements, or never there. */
const CLASSES = [
  CannotExecuteNotConnectedError,
  ConnectionIsNotSetError,
  QueryRunnerAlreadyReleasedError,
  QueryRunnerProviderAlreadyReleasedError,
  TransactionNotStartedError,
];

/**
 * SQLSTATE codes and errors of Node that say: the database is not there, or had no time (PostgreSQL, Appendix A:
 * classes 08, 53 and 57, and locks that were not to be had).
 */
const CODES =
  /^(08...|53...|57P..|57014|55P03|25P03|40001|40P01|ECONN[A-Z]+|EPIPE|ETIMEDOUT|ENOTFOUND|EHOSTUNREACH)$/;

/** The same in the words of pg and of TypeORM's driver, which have no classes of their own. */
const MESSAGES =
  /timeout exceeded when trying to connect|timeout expired|Connection terminated|Client has encountered a connection error|Cannot use a pool after|Driver not Connected|Client was closed and is not queryable/i;

/** Whether an error means that the database is away or could not serve in time; the same may go well later. */
export function isAway(error: unknown): boolean {
  if (typeof error !== 'object' || error === null) return false;
  if (CLASSES.some((each) => error instanceof each)) return true;
  const { code, message, driverError, errors } = error as {
    code?: unknown;
    message?: unknown;
    driverError?: unknown;
    errors?: unknown[];
  };
  if (typeof code === 'string' && CODES.test(code)) return true;
  if (typeof message === 'string' && MESSAGES.test(message)) return true;
  if (Array.isArray(errors) && errors.some(isAway)) return true;
  return driverError !== undefined && driverError !== error && isAway(driverError);
}
