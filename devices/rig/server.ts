import { existsSync, readFileSync } from 'node:fs';
import { createServer, type Socket } from 'node:net';
import { createInterface } from 'node:readline';
import { type Chamber, EMPTY, letGo, SOUND, step, type Truth } from './chamber';

// The stand-in for a test rig: newline-delimited JSON over TCP, as docs/devices.md describes it.
// EDDRIN_RIG_PORT, EDDRIN_RIG_SPEED (rig seconds a second), EDDRIN_RIG_TRUTH (file of unit tags and their true states).

const PORT = Number(process.env.EDDRIN_RIG_PORT ?? 7411);
const SPEED = Number(process.env.EDDRIN_RIG_SPEED ?? 1);
const SAMPLE_S = 0.1;
const NOISE_BAR = 0.02;
const FILL_S = 9;
/** What a sensor that has gone bad adds. */
const [DRIFT_BAR_PER_S, SPIKE_SHARE, SPIKE_BAR] = [0.02, 0.03, 4];

type Command = { cmd?: string; unit?: string; targetBar?: number; how?: string };
type Mode =
  | { readonly kind: 'idle' }
  | { readonly kind: 'fill'; readonly targetBar: number; readonly mlPerS: number }
  | { readonly kind: 'hold' }
  | { readonly kind: 'down' };

const truthOf = (tag: string): Truth => {
  const file = process.env.EDDRIN_RIG_TRUTH;
  const known = file !== undefined && existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Record<string, Truth>) : {};
  return known[tag] ?? SOUND;
};

/** What it was told to do wrong, on whichever line; it does it on all of them until told `none`. */
let trouble: string | undefined;
const open = new Set<Socket>();

const serve = (socket: Socket): void => {
  open.add(socket);
  let [truth, chamber, mode, t]: [Truth, Chamber, Mode, number] = [SOUND, EMPTY, { kind: 'idle' }, 0];
  let drift = 0;
  const send = (message: unknown): void => void socket.write(`${JSON.stringify(message)}\n`);
  send({ hello: 'rig', name: 'Stand-in rig', speed: SPEED });

  const sample = (): void => {
    if (mode.kind === 'idle' || trouble === 'freeze') return;
    t += SAMPLE_S;
    if (mode.kind === 'fill') {
      chamber = step(chamber, truth, SAMPLE_S, mode.mlPerS);
      if (chamber.pBar >= mode.targetBar) {
        mode = { kind: 'hold' };
        send({ event: 'holding' });
      }
    } else if (mode.kind === 'hold') chamber = step(chamber, truth, SAMPLE_S, 0);
    else if (trouble !== 'stuck') chamber = letGo(chamber, truth);
    if (trouble === 'drift') drift += DRIFT_BAR_PER_S * SAMPLE_S;
    const spike = trouble === 'spikes' && Math.random() < SPIKE_SHARE ? SPIKE_BAR : 0;
    const p = Math.max(0, chamber.pBar + drift + spike + NOISE_BAR * normal());
    send(
      trouble === 'rubbish'
        ? { t, p: 'overload', ml: null }
        : { t: round(t, 10), p: round(p, 1000), ml: round(chamber.mlIn, 1e5), c: round(21.4 + 0.02 * normal(), 100) },
    );
    if (mode.kind === 'down' && chamber.pBar < Math.max(0.2, (truth.residualBar ?? 0) * 1.01)) {
      mode = { kind: 'idle' };
      send({ event: 'down' });
    }
  };
  const clock = setInterval(sample, (1000 * SAMPLE_S) / SPEED);

  const obey = (c: Command): void => {
    if (c.cmd === 'begin') [truth, chamber, mode, t, drift] = [truthOf(c.unit ?? ''), EMPTY, { kind: 'idle' }, 0, 0];
    else if (c.cmd === 'pressurise' && typeof c.targetBar === 'number')
      mode = { kind: 'fill', targetBar: c.targetBar, mlPerS: (truth.complianceMlPerBar * c.targetBar + truth.airMl) / FILL_S };
    else if (c.cmd === 'release') mode = { kind: 'down' };
    else if (c.cmd === 'misbehave') {
      trouble = c.how === 'none' ? undefined : c.how;
      if (c.how === 'drop') for (const line of open) line.destroy();
    } else send({ error: `unknown command: ${JSON.stringify(c)}` });
  };
  const lines = createInterface({ input: socket });
  lines.on('line', (line) => {
    try {
      obey(JSON.parse(line) as Command);
    } catch {
      send({ error: 'not a line of JSON' });
    }
  });
  lines.on('error', () => clearInterval(clock));
  socket.on('close', () => {
    clearInterval(clock);
    open.delete(socket);
  });
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
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, () => process.exit(0));
