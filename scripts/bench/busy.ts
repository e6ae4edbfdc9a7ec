import { readFileSync } from 'node:fs';
import { type Line, median, timed } from './line';
import { get } from './served';

const [ROUNDS, AT_MOST, MOST_MS] = [40, 3, 200];

/** The rack while the same server works out something heavy, beside the rack at rest. @param origin of the served demo */
export async function busyLines(port: number, cookie: string): Promise<readonly Line[]> {
  const rack = () => timed(() => get(port, '/', cookie));
  const rest: number[] = [];
  for (let i = 0; i < ROUNDS; i++) rest.push(await rack());
  // What a server loads with its first requests is no work of theirs.
  for (const send of Object.values(HEAVY)) await send(`http://localhost:${port}`, cookie);
  const lines: Line[] = [];
  for (const [what, send] of Object.entries(HEAVY)) {
    let going = true;
    const heavy = (async () => {
      while (going) await send(`http://localhost:${port}`, cookie);
    })();
    const during: number[] = [];
    for (let i = 0; i < ROUNDS; i++) during.push(await rack());
    going = false;
    await heavy;
    const [a, b] = [median(during), median(rest)];
    lines.push({
      what: `the rack during ${what}`,
      ours: `${a.toFixed(1)} ms, at most ${Math.max(...during).toFixed(0)} ms`,
      peer: `at rest ${b.toFixed(1)} ms, ${(a / b).toFixed(1)}×`,
      bar: `≤ ${AT_MOST}× and ≤ ${MOST_MS} ms`,
      holds: a / b <= AT_MOST && Math.max(...during) <= MOST_MS,
    });
  }
  return lines;
}

const example = (name: string) => JSON.parse(readFileSync(`docs/contracts/${name}.example.json`, 'utf8')).request;
const compute = (name: string, body: unknown) => {
  const text = JSON.stringify(body);
  return async (origin: string, cookie: string): Promise<void> => {
    const answer = await fetch(`${origin}/api/v1/compute/${name}`, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json' },
      body: text,
    });
    if (!answer.ok) throw new Error(`${name} answered ${answer.status}: ${await answer.text()}`);
    await answer.arrayBuffer();
  };
};

const kits = example('kit-match');
const HEAVY: Readonly<Record<string, (origin: string, cookie: string) => Promise<void>>> = {
  'a kit cover of 1,000 kits': compute('kit-match', {
    ...kits,
    kits: Array.from({ length: 1000 }, (_, i) => ({ ...kits.kits[i % kits.kits.length], id: `kit-${i}`, price: 10 + (i % 97) })),
  }),
  'a hold of 150,000 samples': compute('hold-test', {
    ...example('hold-test'),
    trace: Array.from({ length: 150_000 }, (_, i) => ({ tS: i / 1250, pBar: Math.round((80 - i / 300_000) * 1e4) / 1e4 })),
  }),
  'an import of 20,000 rows': async (origin, cookie) => {
    const rows = Array.from({ length: 20_000 }, (_, i) => `BENCH-${i},cup ${i},1.5,3,,,cup,cup,1,22.2`);
    const body = `number,name,price,leadDays,note,supersededBy,part,kind,qty,boreMm\n${rows.join('\n')}\n`;
    const answer = await fetch(`${origin}/api/v1/store/import?what=sundries&file=bench.csv`, {
      method: 'POST',
      headers: { cookie, origin },
      body,
    });
    await answer.text();
  },
};
