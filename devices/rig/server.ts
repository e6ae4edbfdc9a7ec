import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer, type Socket } from 'node:net';
import { createInterface } from 'node:readline';
import { servePanel } from '../panel';
import { type Chamber, EMPTY, inChamber, letGo, SOUND, step, type Truth, vented } from './chamber';
import { rigPanel, TROUBLES } from './panel';
import { isUnitState, UNIT_STATES } from './unit-states';

// The stand-in for a test rig: newline-delimited JSON over TCP, as docs/devices.md describes it.
// EDDRIN_RIG_PORT, EDDRIN_RIG_SPEED (rig seconds a second), EDDRIN_RIG_TRUTH (file of unit tags and their true states),
// EDDRIN_RIG_PANEL (port of its own page; absent: none).

const PORT = Number(process.env.EDDRIN_RIG_PORT ?? 7411);
const SPEED = Number(process.env.EDDRIN_RIG_SPEED ?? 1);
const SAMPLE_S = 0.1;
const NOISE_BAR = 0.02;
const RAMP_S = 9;
const ROOM_C = 21.4;
/** A quick stroke to the target and back, s. */
const STROKE_S = 0.6;
/** What a sensor that has gone bad adds. */
const [DRIFT_BAR_PER_S, SPIKE_SHARE, SPIKE_BAR] = [0.02, 0.03, 4];

type Command = { cmd?: string; unit?: string; targetBar?: number; rampS?: number; chamber?: string; strokes?: number; how?: string };
type Filling = { readonly targetBar: number; readonly mlPerS: number };
type Mode =
  | { readonly kind: 'idle' | 'hold' | 'let-go' | 'down' }
  | ({ readonly kind: 'fill' } & Filling)
  | ({ readonly kind: 'cycle'; readonly endsT: number } & Filling);

const FILE = process.env.EDDRIN_RIG_TRUTH ?? '';
const truths = (): Readonly<Record<string, Truth>> => (existsSync(FILE) ? JSON.parse(readFileSync(FILE, 'utf8')) : {});
const truthOf = (tag: string): Truth => truths()[tag] ?? SOUND;

/** What it was told to do wrong, on whichever line; it does it on all of them until told `none`. */
let trouble: string | undefined;
const open = new Set<Socket>();
const misbehave = (how: string | undefined): void => {
  trouble = how === 'none' ? undefined : how;
  if (how === 'drop') for (const line of open) line.destroy();
};

const serve = (socket: Socket): void => {
  open.add(socket);
  let [unit, truth, chamber, mode, t]: [Truth, Truth, Chamber, Mode, number] = [SOUND, SOUND, EMPTY, { kind: 'idle' }, 0];
  let drift = 0;
  const send = (message: unknown): void => void socket.write(`${JSON.stringify(message)}\n`);
  send({ hello: 'rig', name: 'Stand-in rig', speed: SPEED });

  /** The chamber one sample on, by what the rig is doing. */
  const advance = (): void => {
    switch (mode.kind) {
      case 'fill':
        chamber = step(chamber, truth, SAMPLE_S, mode.mlPerS);
        if (chamber.pBar < mode.targetBar) return;
        mode = { kind: 'hold' };
        return send({ event: 'holding' });
      case 'cycle': {
        // Up and down like a saw; rubber has no time to settle.
        const up = (t % STROKE_S) / STROKE_S;
        chamber = { ...EMPTY, pBar: mode.targetBar * (1 - Math.abs(2 * up - 1)) };
        if (t < mode.endsT) return;
        chamber = EMPTY;
        mode = { kind: 'fill', targetBar: mode.targetBar, mlPerS: mode.mlPerS };
        return send({ event: 'filling' });
      }
      case 'hold':
        chamber = step(chamber, truth, SAMPLE_S, 0);
        return;
      case 'let-go':
        chamber = letGo(chamber, truth);
        return;
      case 'down':
        if (trouble !== 'stuck') chamber = vented(chamber);
        return;
      case 'idle':
        return;
    }
  };

  const tempC = (): number => ROOM_C + ((truth.warmsKPerMin ?? 0) * t) / 60;

  const sample = (): void => {
    if (mode.kind === 'idle' || trouble === 'freeze') return;
    t += SAMPLE_S;
    advance();
    if (trouble === 'drift') drift += DRIFT_BAR_PER_S * SAMPLE_S;
    const spike = trouble === 'spikes' && Math.random() < SPIKE_SHARE ? SPIKE_BAR : 0;
    const p = Math.max(0, chamber.pBar + drift + spike + NOISE_BAR * normal());
    send(
      trouble === 'rubbish'
        ? { t, p: 'overload', ml: null }
        : { t: round(t, 10), p: round(p, 1000), ml: round(chamber.mlIn, 1e5), c: round(tempC() + 0.02 * normal(), 100) },
    );
    if (mode.kind === 'down' && chamber.pBar < 0.2) {
      mode = { kind: 'idle' };
      send({ event: 'down' });
    }
  };
  const clock = setInterval(sample, (1000 * SAMPLE_S) / SPEED);

  const obey = (c: Command): void => {
    if (c.cmd === 'begin') {
      unit = truthOf(c.unit ?? '');
      [truth, chamber, mode, t, drift] = [unit, EMPTY, { kind: 'idle' }, 0, 0];
    } else if (c.cmd === 'pressurise' && typeof c.targetBar === 'number') {
      truth = inChamber(unit, c.chamber);
      const filling = {
        targetBar: c.targetBar,
        mlPerS: (truth.complianceMlPerBar * c.targetBar + truth.airMl) / (c.rampS ?? RAMP_S),
      };
      mode = c.strokes === undefined ? { kind: 'fill', ...filling } : { kind: 'cycle', endsT: t + c.strokes * STROKE_S, ...filling };
    } else if (c.cmd === 'let-go') mode = { kind: 'let-go' };
    else if (c.cmd === 'release') {
      mode = { kind: 'down' };
      console.log(`release asked at ${Date.now()}`);
    } else if (c.cmd === 'misbehave') misbehave(c.how);
    else send({ error: `unknown command: ${JSON.stringify(c)}` });
  };
  /** Nobody is left who could ask the pressure down: the rig's own valve opens by itself. */
  const alone = (): void => {
    clearInterval(clock);
    open.delete(socket);
    if (chamber.pBar < 0.2) return;
    const fromBar = chamber.pBar;
    while (chamber.pBar >= 0.2) chamber = vented(chamber);
    console.log(`line lost, vented from ${fromBar.toFixed(1)} bar`);
  };
  const lines = createInterface({ input: socket });
  lines.on('line', (line) => {
    try {
      obey(JSON.parse(line) as Command);
    } catch {
      send({ error: 'not a line of JSON' });
    }
  });
  lines.on('error', () => {});
  socket.on('close', alone);
  socket.on('error', () => clearInterval(clock));
};

const round = (value: number, perUnit: number): number => Math.round(value * perUnit) / perUnit;

/** Box and Muller's normal deviate. */
const normal = (): number => Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random());

const server = createServer(serve).listen(PORT, '127.0.0.1', () => {
  const address = server.address();
  const port = typeof address === 'object' && address !== null ? address.port : PORT;
  console.log(`stand-in rig on 127.0.0.1:${port}, ${SPEED}× time`);
});

type Told = { readonly how?: string; readonly unit?: string; readonly state?: string };
const obeyPanel = ({ how = '', unit = '', state = '' }: Told): string => {
  if (Object.hasOwn(TROUBLES, how)) {
    misbehave(how);
    return `From now on: ${TROUBLES[how as keyof typeof TROUBLES]}.`;
  }
  if (!(isUnitState(state) && /^[A-Z]+-\d{4,}$/.test(unit))) return 'Which unit? A tag looks like SQ-0412.';
  const { residualBar } = truthOf(unit);
  writeFileSync(FILE, JSON.stringify({ ...truths(), [unit]: { ...SOUND, residualBar, ...UNIT_STATES[state].truth } }));
  return `${unit}: ${UNIT_STATES[state].words}. The next run finds it so.`;
};
const panelPort = process.env.EDDRIN_RIG_PANEL;
if (panelPort !== undefined)
  servePanel(
    Number(panelPort),
    () => rigPanel(Object.keys(truths())),
    (body) => obeyPanel(body as Told),
  );

for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, () => process.exit(0));
