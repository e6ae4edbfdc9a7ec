import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';

/** What the running program counts of itself, in the text form of Prometheus. */
type Metrics = {
  readonly registry: Registry;
  /** A request was answered. @param seconds that it took */
  readonly answered: (method: string, status: number, seconds: number) => void;
  readonly units: Gauge;
  readonly sessions: Gauge;
  readonly waits: Gauge;
  readonly backupAge: Gauge;
  readonly disk: Gauge;
};

declare global {
  // One a process, also when a bundler makes two copies of this module; `scripts/serve.mjs` counts with it.
  var eddrinMetrics: Metrics | undefined;
}

export const theMetrics = (): Metrics => {
  globalThis.eddrinMetrics ??= newMetrics();
  return globalThis.eddrinMetrics;
};

const newMetrics = (): Metrics => {
  const registry = new Registry();
  collectDefaultMetrics({ register: registry });
  const gauge = (name: string, help: string): Gauge => new Gauge({ name: `eddrin_${name}`, help, registers: [registry] });
  const requests = new Histogram({
    name: 'eddrin_http_request_seconds',
    help: 'Time to answer, by method and kind of status',
    labelNames: ['method', 'status'],
    buckets: [0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10],
    registers: [registry],
  });
  const METHODS = ['GET', 'HEAD', 'POST'];
  return {
    registry,
    answered: (method, status, seconds) =>
      requests.observe({ method: METHODS.includes(method) ? method : 'other', status: `${Math.floor(status / 100)}xx` }, seconds),
    units: gauge('units_in_shop', 'Units on the rack'),
    sessions: gauge('sessions', 'Sessions that have not ended'),
    waits: gauge('waits', 'Waits that run'),
    backupAge: gauge('backup_age_seconds', 'Since the last good backup; -1 where there is none'),
    disk: gauge('disk_free_bytes', 'Room where the shop lies'),
  };
};
