import { expect, test } from 'vitest';
// @ts-expect-error plain Node, without types
import { addressOf } from '../../scripts/address.mjs';

test.each([
  ['straight', '203.0.113.7', '', undefined, '203.0.113.7'],
  ['straight, over IPv6', '::ffff:203.0.113.7', '', undefined, '203.0.113.7'],
  ['straight, saying that it is another', '203.0.113.7', '198.51.100.1', undefined, '203.0.113.7'],
  ['by a proxy that the shop names', '10.0.0.2', '198.51.100.1', '10.0.0.2', '198.51.100.1'],
  ['by it, saying that it is another', '10.0.0.2', '192.0.2.9, 198.51.100.1', '10.0.0.1, 10.0.0.2', '198.51.100.1'],
  ['by a proxy that it does not', '10.0.0.3', '198.51.100.1', '10.0.0.2', '10.0.0.3'],
  ['by a proxy that says nothing', '10.0.0.2', '', '10.0.0.2', '10.0.0.2'],
])('a request that comes %s', (_, remoteAddress, forwardedFor, proxies, address) => {
  expect(addressOf({ remoteAddress, forwardedFor }, proxies)).toBe(address);
});
