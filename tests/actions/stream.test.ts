import { afterEach, beforeAll, beforeEach, describe, expect, test, vi } from 'vitest';
import { eventStream } from '@/app/_server/event-stream';
import { theAuth } from '@/db/people/auth';
import { signOut } from '@/db/people/people';
import { openShop, PEOPLE, PINS } from '../server/shop';

vi.mock('next/headers', () => ({ cookies: async () => ({ set: () => undefined }), headers: async () => new Headers() }));

beforeAll(async () => {
  await openShop();
});
beforeEach(() => vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] }));
afterEach(() => vi.useRealTimers());

/** The headers that a signed-in browser sends. */
const signedIn = async (): Promise<Headers> => {
  const { headers } = await (await theAuth()).api.signInUsername({
    body: { username: 'tess', password: PINS.tess as string },
    returnHeaders: true,
  });
  return new Headers({
    cookie: headers
      .getSetCookie()
      .map((c) => c.split(';')[0])
      .join('; '),
  });
};
const line = (headers: Headers) => {
  const gone = new AbortController();
  let left = 0;
  const request = new Request('http://shop/stream', { headers, signal: gone.signal });
  const response = eventStream(request, PEOPLE.tech, () => () => {
    left += 1;
  });
  return { response, hangUp: () => gone.abort(), left: () => left };
};
/** What comes over a line until it ends. */
const whole = async (response: Response): Promise<string> => response.text();

describe('a line of events', () => {
  test('says that it is alive while its person is signed in, and ends soon after they sign out', async () => {
    const headers = await signedIn();
    const { response, left } = line(headers);
    const said = whole(response);
    await vi.advanceTimersByTimeAsync(15_000);
    await vi.waitFor(() => expect(left()).toBe(0));
    await signOut(headers);
    await vi.advanceTimersByTimeAsync(15_000);
    await vi.waitFor(() => expect(left()).toBe(1));
    expect(await said).toContain(': here');
  });

  test('one person has a dozen at most; one that hangs up makes room', async () => {
    const headers = await signedIn();
    const lines = Array.from({ length: 13 }, () => line(headers));
    expect(lines.map((l) => l.response.status)).toEqual([...Array.from({ length: 12 }, () => 200), 429]);
    lines[0]?.hangUp();
    expect(lines[0]?.left()).toBe(1);
    const next = line(headers);
    expect(next.response.status).toBe(200);
    for (const l of [...lines, next]) l.hangUp();
    // Gone before it was answered, or let go by its reader: that makes room as well.
    const gone = new AbortController();
    gone.abort();
    const never = () =>
      eventStream(new Request('http://shop/stream', { headers, signal: gone.signal }), PEOPLE.tech, () => () => undefined);
    for (let i = 0; i < 20; i++) expect(never().status).toBe(200);
    for (let i = 0; i < 20; i++) {
      const { response } = line(headers);
      expect(response.status).toBe(200);
      await response.body?.cancel();
    }
  });
});
