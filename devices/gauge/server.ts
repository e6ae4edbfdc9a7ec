import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { GRID_CLOCKS } from '@/core/gauge/suggest-grid';
import { seeded } from '../hand/random';
import { servePanel } from '../panel';
import { measured, type TrueBore } from './bore';
import { gaugePanel } from './panel';

// The stand-in gauge: a panel that measures the demo units' hidden bores and posts the readings as a real gauge would.
const { EDDRIN_GAUGE_PORT, EDDRIN_GAUGE_TRUTH, EDDRIN_GAUGE_TOKEN, EDDRIN_GAUGE_ID = 'gauge-1', EDDRIN_APP } = process.env;
const random = seeded(Date.now() % 100_000);

type Truth = { readonly bore: TrueBore; readonly depthsMm: readonly number[] };
const bores = JSON.parse(readFileSync(EDDRIN_GAUGE_TRUTH as string, 'utf8')) as Readonly<Record<string, Truth>>;

const Asked = z.object({
  tag: z.string(),
  xMm: z.number().nullable(),
  clockDeg: z.number().nullable(),
  /** Cut since the demo was made up, on the diameter. */
  cutUm: z.number().default(0),
});

const measure = async (body: unknown): Promise<string> => {
  const asked = Asked.parse(body);
  const truth = bores[asked.tag];
  if (truth === undefined) return `There is no bore of ${asked.tag}.`;
  const bore = { ...truth.bore, addMm: truth.bore.addMm + asked.cutUm / 1000 };
  const places =
    asked.xMm === null || asked.clockDeg === null
      ? truth.depthsMm.flatMap((xMm) => GRID_CLOCKS.map((clockDeg) => ({ xMm, clockDeg })))
      : [{ xMm: asked.xMm, clockDeg: asked.clockDeg }];
  const readings = places.map((p) => ({ ...p, diaMm: measured(bore, p.xMm, p.clockDeg, random.normal(1)) }));
  const answer = await fetch(`${EDDRIN_APP}/api/v1/devices/${EDDRIN_GAUGE_ID}/readings`, {
    method: 'POST',
    headers: { authorization: `Bearer ${EDDRIN_GAUGE_TOKEN}`, 'content-type': 'application/json' },
    body: JSON.stringify({ readings }),
  });
  if (answer.ok) return `${readings.map((r) => r.diaMm.toFixed(3)).join(' ')} mm, sent.`;
  return ((await answer.json()) as { readonly title: string }).title;
};

servePanel(Number(EDDRIN_GAUGE_PORT), () => gaugePanel(Object.keys(bores)), measure);
