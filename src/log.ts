import { pino } from 'pino';
import { setting } from './config';

declare global {
  var eddrinLog: ReturnType<typeof pino> | undefined;
}

/** The process's log, a line of JSON an event, to standard error. PINs, keys and tokens never reach it: it is given ids and codes only. */
export const theLog = (): ReturnType<typeof pino> => {
  globalThis.eddrinLog ??= pino({ name: 'eddrin', level: setting('EDDRIN_LOG') }, pino.destination({ fd: 2, sync: true }));
  return globalThis.eddrinLog;
};
