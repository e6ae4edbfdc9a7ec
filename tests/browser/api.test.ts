import { readdirSync, readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type App, startApp, TOKEN } from './app';

let app: App;
beforeAll(async () => {
  app = await startApp();
});
afterAll(() => app.stop());

type Answer = { readonly status: number; readonly type: string | null; readonly body: Record<string, unknown> };
const ask = async (
  name: string,
  body: unknown,
  headers: Record<string, string> = { authorization: `Bearer ${TOKEN}` },
): Promise<Answer> => {
  const text = typeof body === 'string' ? body : JSON.stringify(body);
  const response = await fetch(`${app.origin}/api/v1/compute/${name}`, { method: 'POST', body: text, headers });
  return { status: response.status, type: response.headers.get('content-type'), body: (await response.json()) as Record<string, unknown> };
};
const contract = (name: string): { request: Record<string, unknown>; response: Record<string, unknown> } =>
  JSON.parse(readFileSync(`docs/contracts/${name}.example.json`, 'utf8'));
const names = readdirSync('docs/contracts').map((f) => f.replace('.example.json', ''));
const paths = (a: Answer): readonly string[] => (a.body.errors as readonly { path: string }[]).map((e) => e.path);

describe('the compute endpoints', () => {
  test.each(names)('%s answers its worked example', async (name) => {
    const { request, response } = contract(name);
    const answer = await ask(name, request);
    expect(answer.status).toBe(200);
    expect(Object.keys(answer.body).sort()).toEqual(Object.keys(response).sort());
  });

  test('ask for a session or the token', async () => {
    const { request } = contract('gauge');
    for (const headers of [{}, { authorization: 'Bearer wrong' }, { authorization: `Basic ${TOKEN}` }] as Record<string, string>[]) {
      const answer = await ask('gauge', request, headers);
      expect([answer.status, answer.type]).toEqual([401, 'application/problem+json']);
    }
  });

  test('say what is not JSON, and that there is no such calculation', async () => {
    const broken = await ask('gauge', '{"readings": [');
    expect([broken.status, broken.type, paths(broken)]).toEqual([400, 'application/problem+json', ['']]);
    expect((await ask('guess', {})).status).toBe(404);
  });

  test.each<[string, unknown, readonly string[]]>([
    ['gauge', null, ['']],
    ['gauge', [], ['']],
    ['gauge', {}, ['readings', 'material']],
    ['gauge', { readings: [{ xMm: 1, clockDeg: 0, diaMm: 1e9 }], material: 'cast-iron' }, ['readings[0].diaMm']],
    ['gauge', { readings: [{ xMm: 1, clockDeg: 0, diaMm: 20, note: 'x' }], material: 'cast-iron' }, ['readings[0].note']],
    ['gauge', { readings: [{ xMm: 1, clockDeg: 0, diaMm: 20 }], material: 'cast-iron', rules: { airMax: 1 } }, ['rules.airMax']],
    ['air-check', { fill: [{ mlIn: 1, pBar: 5 }] }, ['fill', 'fill']],
    ['hold-test', { trace: [], complianceMlPerBar: 0 }, ['trace', 'trace', 'complianceMlPerBar']],
    ['kit-match', { needs: [{ id: 'a', kind: 'cup', qty: 0, dims: {}, policy: 'maybe' }], kits: [] }, ['needs[0].qty', 'needs[0].policy']],
    ['stack-check', { chambers: [{ id: 'a', pressure: 'none' }], seals: [], removed: [], fitted: 'all' }, ['fitted']],
  ])('%s refuses %j with every path', async (name, body, wrong) => {
    const answer = await ask(name, body);
    expect([answer.status, answer.type]).toEqual([422, 'application/problem+json']);
    expect([...new Set(paths(answer))]).toEqual([...new Set(wrong)]);
    for (const { message } of answer.body.errors as readonly { message: string }[]) expect(message).not.toBe('');
  });

  test('extra fields are ignored at the top level only; a rule may be overridden for one request', async () => {
    const { request } = contract('air-check');
    const answer = await ask('air-check', { ...request, comment: 'from the spreadsheet', rules: { airMaxMl: 0.01 } });
    expect([answer.status, answer.body.outcome, answer.body.rulesUsed]).toEqual([200, 'bleed-again', { airMaxMl: 0.01 }]);
  });

  test('too much at once is refused before it is read', async () => {
    expect((await ask('gauge', ' '.repeat(9 * 1024 * 1024))).status).toBe(413);
  });

  test('are described by a document made from the same schemas', async () => {
    const response = await fetch(`${app.origin}/api/v1/openapi.json`);
    const document = (await response.json()) as { openapi: string; paths: Record<string, { post: { requestBody: unknown } }> };
    expect(document.openapi).toMatch(/^3\.1/);
    expect(Object.keys(document.paths).sort()).toEqual([
      ...names.map((n) => `/api/v1/compute/${n}`).sort(),
      '/api/v1/devices/{id}/readings',
      '/api/v1/events',
      '/api/v1/units',
      '/api/v1/units/{tag}',
    ]);
    expect(JSON.stringify(document.paths['/api/v1/compute/gauge'])).toContain('GaugeRequest');
  });
});

describe('reading the shop elsewhere', () => {
  const read = async (path: string, token: string | null = TOKEN) => {
    const response = await fetch(`${app.origin}/api/v1/${path}`, token === null ? {} : { headers: { authorization: `Bearer ${token}` } });
    return { status: response.status, body: (await response.json()) as Record<string, unknown> };
  };

  test('goes through all units by pages, each once, and says how many there are', async () => {
    const tags: string[] = [];
    let [next, inAll]: [string | null, number] = ['0', 0];
    while (next !== null) {
      const { status, body } = await read(`units?limit=17&after=${next}`);
      expect(status).toBe(200);
      tags.push(...(body.units as { tag: string }[]).map((u) => u.tag));
      [next, inAll] = [body.next as string | null, body.inAll as number];
    }
    expect([tags.length, new Set(tags).size]).toEqual([inAll, inAll]);
    const { body } = await read('units?in=left&limit=500');
    expect((body.units as { exit: string | null }[]).every((u) => u.exit !== null)).toBe(true);
    expect(body.inAll).toBeLessThan(inAll);
    expect(JSON.stringify(body)).not.toMatch(/phone|555 0/);
  });

  test('gives a unit with its record, and every event in the order in which it was written', async () => {
    const { body } = await read('units/SQ-0012');
    expect([body.tag, body.exit]).toEqual(['SQ-0012', 'released']);
    expect((body.verdicts as unknown[]).length).toBeGreaterThan(0);
    const first = await read('events?limit=300');
    const events = first.body.events as { number: number; tag: string }[];
    expect(events.every((e, i) => i === 0 || e.number > (events[i - 1]?.number ?? 0))).toBe(true);
    const second = await read(`events?limit=300&after=${first.body.next}`);
    expect((second.body.events as { number: number }[])[0]?.number).toBeGreaterThan(events.at(-1)?.number ?? 0);
  });

  test('asks for a token for reading, and says what cannot be asked', async () => {
    for (const path of ['units', 'units/SQ-0012', 'events']) {
      expect([path, (await read(path, null)).status, (await read(path, 'wrong')).status]).toEqual([path, 401, 401]);
    }
    expect((await read('units/SQ-9999')).status).toBe(404);
    const wrong = await read('units?limit=9999&in=attic&after=-1');
    expect([wrong.status, (wrong.body.errors as { path: string }[]).map((e) => e.path).sort()]).toEqual([422, ['after', 'in', 'limit']]);
  });
});
