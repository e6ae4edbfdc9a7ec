import { describe, expect, test } from 'vitest';
import { configFaults, sayConfig, setting } from './config';

describe('what the environment decides', () => {
  test('an empty one will do', () => {
    expect(configFaults({})).toEqual([]);
  });

  test('everything wrong with it is said at once, and the secret’s text is not', () => {
    const faults = configFaults({ EDDRIN_RIG: 'bench 3', EDDRIN_LOG: 'loud', EDDRIN_SECRET: 'short', EDDRIN_ORIGIN: 'shop' });
    expect(faults).toEqual([
      'EDDRIN_ORIGIN is no address, as https://shop.example.',
      'EDDRIN_SECRET takes 32 characters or more.',
      'EDDRIN_RIG is no host:port.',
      'EDDRIN_LOG is fatal, error, warn, info, debug, trace or silent.',
    ]);
    expect(faults.join()).not.toContain('short');
  });

  test('what goes together is asked for together', () => {
    expect(configFaults({ EDDRIN_TLS_CERT: 'a.pem', EDDRIN_PHOTOS: 'https://store.example/photos', EDDRIN_PHOTOS_KEY: 'shop' })).toEqual([
      'EDDRIN_TLS_CERT and EDDRIN_TLS_KEY go together.',
      'EDDRIN_PHOTOS asks for EDDRIN_PHOTOS_KEY and EDDRIN_PHOTOS_SECRET.',
    ]);
  });

  test('--help names each with its usual value', () => {
    expect(sayConfig()).toMatch(/EDDRIN_DATA +the folder that a shop’s data lie in \(\.\/var\)/);
    expect(sayConfig().split('\n').length).toBe(21);
  });

  test('is read when it is asked for', () => {
    const before = process.env.EDDRIN_LOG;
    process.env.EDDRIN_LOG = 'debug';
    expect(setting('EDDRIN_LOG')).toBe('debug');
    if (before === undefined) delete process.env.EDDRIN_LOG;
    else process.env.EDDRIN_LOG = before;
  });
});
