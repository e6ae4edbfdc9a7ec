import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { median, timed } from '../../scripts/bench/line';
import { sessionCookie } from '../../scripts/bench/served';
import { actionsOf } from '../../scripts/fuzz/actions';
import { spawnNode } from '../children';
import { ENDLESS } from '../endless';
import { type App, startApp, TOKEN } from './app';

// The built application under requests that mean harm: what is large, what is written wrongly, and what nobody thought of.

let app: App;
let cookie: string;
/** How long the rack takes while nothing else goes on, ms. */
let atRest: number;
beforeAll(async () => {
  app = await startApp();
  process.env.EDDRIN_DATA = app.data;
  cookie = await sessionCookie();
  // What a server loads with its first requests is not what is looked at here.
  for (let i = 0; i < 40; i++) await rack();
  atRest = median([await timed(rack), await timed(rack), await timed(rack)]);
  await importOf('number\n1\n');
});
afterAll(() => app.stop());

const importOf = (body: string) =>
  fetch(`${app.origin}/api/v1/store/import?what=sundries&file=a.csv`, { method: 'POST', headers: { cookie, origin: app.origin }, body });
const rack = async (): Promise<void> => {
  const page = await fetch(`${app.origin}/`, { headers: { cookie } });
  await page.text();
  expect(page.status).toBe(200);
};

describe('a page is answered while the server works out', () => {
  const example = (name: string) => JSON.parse(readFileSync(`docs/contracts/${name}.example.json`, 'utf8')).request;
  const compute = (name: string, body: unknown) => {
    const text = JSON.stringify(body);
    return () =>
      fetch(`${app.origin}/api/v1/compute/${name}`, { method: 'POST', headers: { authorization: `Bearer ${TOKEN}` }, body: text });
  };
  const rows = Array.from({ length: 20_000 }, (_, i) => `BENCH-${i},cup ${i},1.5,3,,,cup,cup,1,22.2`);
  const table = `number,name,price,leadDays,note,supersededBy,part,kind,qty,boreMm\n${rows.join('\n')}\n`;

  test.each<[string, number, () => Promise<Response>]>([
    ['a kit cover that does not end', 503, compute('kit-match', ENDLESS)],
    [
      'a hold of 150,000 samples',
      200,
      compute('hold-test', {
        ...example('hold-test'),
        trace: Array.from({ length: 150_000 }, (_, i) => ({ tS: i / 1250, pBar: Math.round((80 - i / 300_000) * 1e4) / 1e4 })),
      }),
    ],
    ['an import of 20,000 rows', 200, () => importOf(table)],
    ['a traveller', 200, () => fetch(`${app.origin}/api/v1/units/SQ-0038/traveller.pdf`, { headers: { cookie } })],
  ])('%s', async (_, status, send) => {
    let going = true;
    const heavy = send().then(async (r) => {
      going = false;
      return [r.status, (await r.text()).slice(0, 200)] as const;
    });
    const took: number[] = [];
    do {
      took.push(await timed(rack));
    } while (going);
    const [came, text] = await heavy;
    expect([came, text.includes('took longer than the server gives')]).toEqual([status, status === 503]);
    // A machine that is slow at rest is slow now too.
    expect(median(took)).toBeLessThan(Math.max(200, 4 * atRest));
  });
});

describe('what is written wrongly', () => {
  const callAction = async (body: string, more: Record<string, string> = {}) => {
    const action = (await actionsOf('.next-test', 'SQ-0001')).find((a) => a.name === 'orderAction');
    const headers = { 'next-action': action?.id ?? '', 'content-type': 'text/plain;charset=UTF-8', origin: app.origin, cookie, ...more };
    return fetch(`${app.origin}${action?.path}`, { method: 'POST', body, headers });
  };

  test.each(['', 'rubbish', '[1,2', '[{"id":"$1"}]', '["$F9"]'])('an action called with %j is a bad request', async (body) => {
    expect((await callAction(body)).status).toBe(400);
  });

  test('an action that can be read is told everything that is wrong with it', async () => {
    const answer = await callAction('[{"a":1}]');
    expect(answer.status).toBe(200);
    expect(await answer.text()).toMatch(/"code":"invalid"/);
  });

  test.each([
    ['/api/v1/compute/gauge', 9],
    ['/api/v1/store/import?what=kits&file=x', 21],
    ['/photos', 13],
  ])('too large a body for %s is told so, and its connection goes on, with and without a length', async (path, mb) => {
    const agent = new Agent({ keepAlive: true, maxSockets: 1 });
    const post = async (to: string, size: number, more: Record<string, string>): Promise<readonly [number | undefined, boolean]> => {
      const headers = { cookie, origin: app.origin, 'content-type': 'multipart/form-data; boundary=x', ...more };
      const asked = request(`${app.origin}${to}`, { method: 'POST', agent, headers });
      const came = once(asked, 'response');
      for (let left = size; left > 0; left -= 1 << 20) if (!asked.write(Buffer.alloc(Math.min(left, 1 << 20)))) await once(asked, 'drain');
      asked.end();
      const [response] = await came;
      response.resume();
      await once(response, 'end');
      return [response.statusCode, asked.reusedSocket];
    };
    const size = mb * 1024 * 1024;
    await post('/api/v1/compute/gauge', 2, {});
    for (const more of [{ 'content-length': String(size) }, {}] as Record<string, string>[]) {
      expect(await post(path, size, more)).toEqual([413, true]);
      expect(await post('/api/v1/compute/gauge', 2, {})).toEqual([400, true]);
    }
    agent.destroy();
  });
});

test('a while of requests made up from the actions’ own schemas finds no fault', async () => {
  // A busy machine is slower than the second that a real one has.
  const args = ['--minutes', '0.4', '--seed', '7', '--slowest', '6000'];
  const fuzz = spawnNode(['--import', 'tsx', 'scripts/fuzz/main.ts', ...args], { EDDRIN_BUILD: '.next-test' });
  let said = '';
  fuzz.stdout.on('data', (d) => {
    said += d;
  });
  const [code] = await once(fuzz, 'exit');
  expect([code, said.split('\n').filter((l) => l.startsWith('✗'))]).toEqual([0, []]);
  expect(said).toMatch(/\d{3,} tries and \d+ lines of a bad rig.*\nno faults/);
});
