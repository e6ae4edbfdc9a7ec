import { pino } from 'pino';
import { setting } from './config';

declare global {
  var eddrinLog: ReturnType<typeof pino> | undefined;
}

/** The process's log, a line of JSON an event, to standard error. PINs, keys and tokens never reach it: it is given ids and codes only. */
export const theLog = (): ReturnType<typeof pino> => {
  globalThis.eddrinLog ??= pino(
    { name: 'eddrin', level: setting('EDDRIN_LOG'), serializers: { err: sayError, path: sayPath } },
    pino.destination({ fd: 2, sync: true }),
  );
  return globalThis.eddrinLog;
};

/** An address without what opens something to whoever has it: a customer's quote, a person's calendar, a unit's fitting sheet. */
export const sayPath = (path: unknown): unknown =>
  typeof path === 'string' ? path.replace(/\/(quote|calendar|fitting\/[^/?]+)\/[^/?]+/, '/$1/…') : path;

/** An error without the values of the statement that failed: the database's own message lists them, whatever they are. */
export const sayError = (error: unknown): unknown => {
  if (!(error instanceof Error)) return typeof error;
  const whole = error.stack ?? error.message;
  const values = /\nparams: [\s\S]*?(?=\n {4}at |$)/;
  const { code } = error as { readonly code?: unknown };
  return {
    type: error.name,
    ...(typeof code === 'string' ? { code } : {}),
    stack: whole.replace(values, ''),
    ...(error.cause === undefined ? {} : { cause: sayError(error.cause) }),
  };
};
