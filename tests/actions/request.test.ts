import { afterEach, describe, expect, test } from 'vitest';
import { fromOurPage, shopOrigin } from '@/app/_server/request';

const sent = (all: Record<string, string>): Headers => new Headers(all);

describe('where a request comes from', () => {
  test.each([
    ['our own page', { origin: 'https://shop.example', host: 'shop.example' }, true],
    ['behind a proxy', { origin: 'https://shop.example', host: '127.0.0.1:3000', 'x-forwarded-host': 'shop.example' }, true],
    ['another site', { origin: 'https://elsewhere.example', host: 'shop.example' }, false],
    ['nobody says', { host: 'shop.example' }, false],
    ['no address', { origin: 'null', host: 'null' }, false],
  ])('%s', (_, headers, ours) => expect(fromOurPage(sent(headers))).toBe(ours));
});

describe('the address on a label', () => {
  afterEach(() => {
    delete process.env.EDDRIN_ORIGIN;
  });
  test('is what the request came by, never the machine’s own name for itself', () => {
    expect(shopOrigin(sent({ host: '192.168.4.20:3000' }))).toBe('http://192.168.4.20:3000');
    const proxied = { host: 'localhost:3000', 'x-forwarded-host': 'shop.example', 'x-forwarded-proto': 'https' };
    expect(shopOrigin(sent(proxied))).toBe('https://shop.example');
  });
  test('is the one that is set, where one is', () => {
    process.env.EDDRIN_ORIGIN = 'https://bench.example/';
    expect(shopOrigin(sent({ host: 'localhost:3000' }))).toBe('https://bench.example');
  });
});
