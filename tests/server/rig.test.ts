import { writeFileSync } from 'node:fs';
import { connect, createServer, type Server, type Socket } from 'node:net';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { FINE } from '@/core/prove/hold-analysis';
import { isOver } from '@/core/prove/live-run';
import type { RunStep, StepOf } from '@/core/prove/programme/step';
import type { RigSample } from '@/core/prove/rig-sample';
import { analyseRun, type RunContext } from '@/core/prove/run-analysis';
import { fail, ok } from '@/core/result';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { type Analyse, RigKeeper, type RigRun, type RunOrder } from '@/ports/rig-run';
import { SOUND } from '../../devices/rig/chamber';
import { ownFolder } from './shop';
import { type StandIn, startStandIn } from './stand-in';

const text = { need: 'must', chamber: null, why: 'why', means: 'means' } as const;
const hold = (more: Partial<StepOf<'hold'>> = {}): RunStep => ({
  ...text,
  id: 'hold',
  kind: 'hold',
  targetBar: 80,
  rampS: 9,
  holdS: 90,
  limitMlPerMin: null,
  ...more,
});
const order = (step: RunStep = hold(), more: Partial<RunOrder> = {}): RunOrder => ({
  runId: 'r1',
  unitId: 'u1',
  tag: 'SQ-0001',
  by: 'Tess',
  holder: 'page',
  step,
  ...more,
});
const CONTEXT: RunContext = { rules: STANDARD_RULES, keptBar: 0, readTo: FINE, way: 'rig' };
const here: Analyse = async (step, samples) => ok(analyseRun(step, samples, CONTEXT) ?? null);

/** Starts a run with a page that watches, and gives the run as it ended. */
const runToEnd = (keeper: RigKeeper, o = order(), watch: (run: RigRun) => void = () => {}, analyse: Analyse = here): Promise<RigRun> =>
  new Promise((resolve) => {
    const leave = keeper.follow('page', watch);
    const end = (run: RigRun): void => {
      leave();
      resolve(run);
    };
    keeper.start(o, analyse, { piece: () => {}, end });
  });

const misbehave = async (how: string): Promise<void> => {
  const [host, at] = (process.env.EDDRIN_RIG ?? '').split(':');
  await new Promise<void>((resolve) => {
    const line = connect(Number(at), host, () => line.end(`${JSON.stringify({ cmd: 'misbehave', how })}\n`, () => resolve()));
    // Told to drop its lines, it drops this one too.
    line.on('error', () => resolve());
  });
};
const holdOf = (run: RigRun) => (run.analysis?.kind === 'hold' ? run.analysis : undefined);

describe('with the stand-in rig', () => {
  let rig: StandIn;
  beforeAll(async () => {
    const truths = { 'SQ-0002': { ...SOUND, portBlocked: true }, 'SQ-0003': { ...SOUND, chambers: { rear: { leakMlPerMinAt80: 0.4 } } } };
    const file = join(ownFolder(), 'truth.json');
    const more = { 'SQ-0004': { ...SOUND, residualBar: 0.9 }, 'SQ-0005': { ...SOUND, warmsKPerMin: 2, volumeMl: 30 } };
    writeFileSync(file, JSON.stringify({ ...truths, ...more }));
    rig = await startStandIn(40, file);
    process.env.EDDRIN_RIG = rig.address;
  });
  afterAll(() => rig.stop());

  test('a run that could not be judged comes down, and is not called finished', async () => {
    const states: string[] = [];
    const told = 'What was read could not be judged. The server is busy.';
    const run = await runToEnd(
      new RigKeeper(),
      order(),
      (r) => void (states.at(-1) !== r.state && states.push(r.state)),
      async () => fail(told),
    );
    expect(states).toEqual(['filling', 'holding', 'letting-down', 'broken']);
    expect([run.because, run.analysis]).toEqual([told, null]);
    expect(run.samples.at(-1)?.phase).toBe('down');
  });

  test('a hold is run to its end: filled, held, let down, analysed, every sample kept', async () => {
    const states: string[] = [];
    const run = await runToEnd(new RigKeeper(), order(), (r) => {
      if (states.at(-1) !== r.state) states.push(r.state);
    });
    expect(states).toEqual(['filling', 'holding', 'letting-down', 'finished']);
    expect([run.rig, run.speed, run.because]).toEqual(['Stand-in rig', 40, '']);
    const held = run.samples.filter((s) => s.phase === 'hold');
    const heldS = (held.at(-1)?.t ?? 0) - (held[0]?.t ?? 0);
    expect(heldS).toBeGreaterThanOrEqual(90 - 1e-6);
    // It is held on while it is being judged.
    expect(heldS).toBeLessThan(100);
    expect(held[0]?.p).toBeGreaterThan(79);
    expect(run.samples.at(-1)?.p).toBeLessThan(5);
    const analysis = holdOf(run);
    expect(analysis?.complianceMlPerBar).toBeCloseTo(0.05, 2);
    expect(analysis?.airMl).toBeCloseTo(0.08, 1);
  });

  test('one run at a time: a second is told who has the rig', async () => {
    const keeper = new RigKeeper();
    const first = runToEnd(keeper);
    expect(keeper.start(order(hold(), { runId: 'r2' }), here, { piece: () => {}, end: () => {} })).toEqual({
      ok: false,
      error: { code: 'busy', tag: 'SQ-0001' },
    });
    expect((await first).order.runId).toBe('r1');
    expect((await runToEnd(keeper, order(hold(), { runId: 'r2' }))).state).toBe('finished');
  });

  test('let down early: the pressure comes down, the run is kept and does not count', async () => {
    const keeper = new RigKeeper();
    const run = await runToEnd(keeper, order(), (r) => {
      if (r.state === 'holding' && r.samples.filter((s) => s.phase === 'hold').length === 30) keeper.abort('let down by Tess');
    });
    expect([run.state, run.because]).toEqual(['aborted', 'let down by Tess']);
    expect(run.samples.filter((s) => s.phase === 'hold').length).toBeGreaterThanOrEqual(30);
    expect(run.samples.at(-1)?.p).toBeLessThan(5);
  });

  test('a hold that decides nothing asks, is held longer at a word, and is let down without one', async () => {
    const keeper = new RigKeeper();
    let asked = 0;
    // The limit is what it leaks: no hold of such a length can decide that.
    const undecidable = hold({ holdS: 15, limitMlPerMin: 0.008 });
    const ended = new Promise<RigRun>((resolve) => {
      const leave = keeper.follow('page', (run) => {
        if (run.state !== 'asking') return;
        asked += 1;
        if (asked === 1) expect([keeper.holdLonger(), keeper.current?.state]).toEqual([true, 'holding']);
      });
      const end = (run: RigRun): void => {
        leave();
        resolve(run);
      };
      keeper.start(order(undecidable), here, { piece: () => {}, end });
    });
    const run = await ended;
    expect(asked).toBeGreaterThan(0);
    const { holdS } = run.order.step as StepOf<'hold'>;
    expect([run.state, holdS > 15, keeper.holdLonger()]).toEqual(['finished', true, false]);
    const held = run.samples.filter((s) => s.phase === 'hold');
    expect((held.at(-1)?.t ?? 0) - (held[0]?.t ?? 0)).toBeGreaterThanOrEqual(holdS - 0.2);
  });

  test.each<[string, RegExp | null]>([
    ['stuck', /the pressure does not come down: open the rig’s valve by hand/],
    ['freeze', /samples stopped/],
    ['rubbish', /no sample/],
    ['spikes', null],
  ])('told to misbehave (%s) it ends in words, and its run is kept', async (how, why) => {
    let told = false;
    const run = await runToEnd(new RigKeeper(), order(), (r) => {
      if (told || r.state !== 'holding') return;
      told = true;
      void misbehave(how);
    });
    await misbehave('none');
    expect(run.samples.length).toBeGreaterThan(10);
    if (why === null) expect([run.state, (holdOf(run)?.spikes ?? 0) > 0]).toEqual(['finished', true]);
    else expect([run.state, why.test(run.because)]).toEqual(['broken', true]);
  });

  // At forty times the time a second is 25 ms, less than a busy machine may stand still.
  const port: RunStep = { ...text, id: 'port', kind: 'port', targetBar: 10, rampS: 4, withinS: 8 };
  const states = async (o: RunOrder): Promise<readonly [RigRun, readonly string[]]> => {
    const seen: string[] = [];
    const run = await runToEnd(new RigKeeper(), o, (r) => {
      if (seen.at(-1) !== r.state) seen.push(r.state);
    });
    return [run, seen];
  };

  test('a port is tried by letting the rod go: open it empties at once, blocked it keeps its pressure and the rig takes that away', async () => {
    const [open, seen] = await states(order(port));
    expect(seen).toEqual(['filling', 'holding', 'watching', 'letting-down', 'finished']);
    expect(open.analysis).toMatchObject({ kind: 'port', outcome: 'pass' });
    const [shut] = await states(order(port, { tag: 'SQ-0002' }));
    expect([shut.state, shut.analysis?.outcome, (shut.samples.at(-1)?.p ?? 99) < 1]).toEqual(['finished', 'fail', true]);
  });

  const tell = async (body: unknown): Promise<string> => (await fetch(rig.page, { method: 'POST', body: JSON.stringify(body) })).text();

  test('its own page makes a unit what it is told, mends it, and lets the rig go wrong', async () => {
    expect(await (await fetch(rig.page)).text()).toMatch(/<option>SQ-0002<\/option>[\s\S]*compensating port shut/);
    const outcome = async () => (await states(order(port, { tag: 'SQ-0006' })))[0].analysis?.outcome;
    expect(await outcome()).toBe('pass');
    expect(await tell({ unit: 'SQ-0006', state: 'shut-port' })).toBe('SQ-0006: compensating port shut. The next run finds it so.');
    expect(await outcome()).toBe('fail');
    await tell({ unit: 'SQ-0006', state: 'sound' });
    expect(await outcome()).toBe('pass');
    expect(await tell({ unit: 'nothing', state: 'sound' })).toMatch(/^Which unit/);
    expect(await tell({ how: 'rubbish' })).toBe('From now on: sends rubbish.');
    expect((await states(order(port)))[0].because).toMatch(/no sample/);
    await tell({ how: 'none' });
    expect(await outcome()).toBe('pass');
  });

  test('a residual valve is watched for its time, and what it keeps is told', async () => {
    const residual: RunStep = { ...port, id: 'r', kind: 'residual', holdS: 20, keepsMinBar: 0.4, keepsMaxBar: 1.5 } as RunStep;
    const [run] = await states(order(residual, { tag: 'SQ-0004' }));
    const gone = run.samples.filter((s) => s.phase === 'gone');
    expect(run.analysis).toMatchObject({ kind: 'residual', outcome: 'pass' });
    expect((gone.at(-1)?.t ?? 0) - (gone[0]?.t ?? 0)).toBeCloseTo(20, 5);
    const [none] = await states(order(residual));
    expect(none.analysis?.sentence).toMatch(/loses its pressure/);
  });

  test('strokes come before the fill that counts, and what they pumped is not in it', async () => {
    const [run, seen] = await states(order({ ...hold(), id: 'c', kind: 'cycles', strokes: 10 } as RunStep));
    expect(seen).toEqual(['cycling', 'filling', 'holding', 'letting-down', 'finished']);
    expect(Math.max(...run.samples.filter((s) => s.phase === 'cycle').map((s) => s.p))).toBeGreaterThan(60);
    expect(holdOf(run)?.complianceMlPerBar).toBeCloseTo(0.05, 2);
    expect(holdOf(run)?.outcome).toBe('pass');
  });

  test('each chamber alone: what passes from the one shows in it and not in the other', async () => {
    const outcomes = [];
    for (const chamber of ['rear', 'front'])
      outcomes.push((await states(order(hold({ chamber, holdS: 40 }), { tag: 'SQ-0003' })))[0].analysis?.outcome);
    expect(outcomes).toEqual(['fail', 'pass']);
  });

  test('a unit that warms is told with what that hides', async () => {
    const [run] = await states(order(hold({ holdS: 60 }), { tag: 'SQ-0005' }));
    expect(holdOf(run)?.warming?.kPerMin).toBeCloseTo(2, 1);
    expect(holdOf(run)?.sentence).toMatch(/It warmed by 2\.0 °C a minute, which hid about 0\.04\d ml\/min/);
  });

  test('from the word to let it down, the rig is asked within 200 ms, and the page told', async () => {
    const keeper = new RigKeeper();
    const already = rig.said().split('release asked at').length;
    let [asked, told] = [0, 0];
    const run = await runToEnd(keeper, order(), (r) => {
      if (r.state === 'letting-down' && told === 0) told = Date.now();
      if (asked > 0 || r.samples.filter((s) => s.phase === 'hold').length !== 20) return;
      asked = Date.now();
      keeper.abort('let down by Tess');
    });
    expect(run.state).toBe('aborted');
    const heard = Number(rig.said().split('release asked at ')[already]?.split('\n')[0]);
    expect([heard - asked < 200, told - asked < 200]).toEqual([true, true]);
  });

  test('every sample is handed on in pieces while it runs', async () => {
    const pieces: RigSample[] = [];
    const keeper = new RigKeeper();
    const run = await new Promise<RigRun>((resolve) => {
      const leave = keeper.follow('page', () => {});
      const store = { piece: (p: readonly RigSample[]) => void pieces.push(...p), end: resolve };
      keeper.start(order(hold({ holdS: 60 })), here, store);
      void leave;
    });
    expect(pieces.length).toBeGreaterThan(100);
    expect(pieces).toEqual(run.samples.slice(0, pieces.length));
  });

  test('a line that goes without a word: the stand-in vents by itself', async () => {
    const keeper = new RigKeeper();
    await runToEnd(keeper, order(), (r) => {
      if (r.state === 'holding' && r.samples.length > 0) void misbehave('drop');
    });
    await misbehave('none');
    await expect.poll(rig.said).toMatch(/line lost, vented from [78]\d\.\d bar/);
  });

  test('a page that comes later gets the run as it stands', async () => {
    const keeper = new RigKeeper();
    const ended = runToEnd(keeper);
    await ended;
    const seen: RigRun[] = [];
    keeper.follow('page', (run) => void seen.push(run))();
    expect(seen.map((r) => r.state)).toEqual(['finished']);
  });
});

describe('a rig that misbehaves', () => {
  /** A rig of our own that says what it is told to; `heard` are the commands that reached it. */
  let rig: Server;
  let heard: string[] = [];
  const sockets = new Set<Socket>();
  const serve = async (script: (say: (m: unknown) => void, socket: Socket) => void): Promise<void> => {
    heard = [];
    rig?.close();
    rig = createServer((socket) => {
      sockets.add(socket);
      socket.on('data', (d) => heard.push(...String(d).trim().split('\n')));
      socket.on('error', () => {});
      script((m) => void socket.write(`${typeof m === 'string' ? m : JSON.stringify(m)}\n`), socket);
    });
    await new Promise<void>((resolve) => rig.listen(0, '127.0.0.1', resolve));
    process.env.EDDRIN_RIG = `127.0.0.1:${(rig.address() as { port: number }).port}`;
  };
  const hello = { hello: 'rig', name: 'Own rig', speed: 1 };
  const commands = (): readonly string[] => heard.map((line) => (JSON.parse(line) as { cmd: string }).cmd);
  afterAll(() => {
    for (const socket of sockets) socket.destroy();
    rig.close();
  });

  test.each<[string, readonly unknown[], RegExp]>([
    ['rubbish', [hello, 'not json at all'], /sent something that is no sample: not json/],
    ['a sample without a number', [hello, { t: 1, p: 'overload', ml: 0 }], /no sample/],
    ['its own error', [hello, { error: 'pump jammed' }], /the rig says: pump jammed/],
    ['an error as long as a book', [hello, { error: 'x'.repeat(5_000_000) }], /^the rig sent something that is no sample: .{1,300}$/],
    ['a time past all times', [hello, { t: 1e308, p: 1, ml: 1 }], /no sample/],
    ['a speed of nothing', [{ ...hello, speed: 1e-300 }], /no sample/],
    ['pressure out of range', [hello, { t: 0.1, p: 140, ml: 4 }], /pressure out of range: 140 bar/],
    ['a clock that runs backward', [hello, { t: 2, p: 1, ml: 1 }, { t: 1, p: 2, ml: 1 }], /clock ran backward/],
  ])('%s: the run breaks off with words, and the pressure is asked down', async (_, messages, why) => {
    await serve((say) => {
      for (const m of messages) say(m);
    });
    const run = await runToEnd(new RigKeeper());
    expect(run.state).toBe('broken');
    expect(run.because).toMatch(why);
    await expect.poll(commands).toEqual(['begin', 'pressurise', 'release']);
  });

  test('a line without end is not waited for', async () => {
    await serve((say, socket) => {
      say(hello);
      socket.write('x'.repeat(100_000));
    });
    const run = await runToEnd(new RigKeeper());
    expect([run.state, run.because.slice(0, 70)]).toEqual(['broken', expect.stringMatching(/a line without end, x+/)]);
    await expect.poll(commands).toEqual(['begin', 'pressurise', 'release']);
  });

  test('freezes: samples that stop are noticed within seconds', async () => {
    await serve((say) => {
      say(hello);
      say({ t: 0.1, p: 4, ml: 0.3 });
    });
    const started = Date.now();
    const run = await runToEnd(new RigKeeper());
    expect([run.state, run.because, run.samples.length]).toEqual(['broken', 'samples stopped', 1]);
    expect(Date.now() - started).toBeLessThan(15_000);
    await expect.poll(commands).toContain('release');
  });

  test('drops the line: the run breaks off and keeps what it had', async () => {
    await serve((say, socket) => {
      say(hello);
      say({ t: 0.1, p: 4, ml: 0.3 });
      setTimeout(() => socket.destroy(), 100);
    });
    const run = await runToEnd(new RigKeeper());
    expect([run.state, run.because, run.samples.length]).toEqual(['broken', 'the rig dropped the line', 1]);
  });

  test('is not there at all', async () => {
    await serve(() => {});
    await new Promise<void>((resolve) => rig.close(() => resolve()));
    const run = await runToEnd(new RigKeeper());
    expect(run.state).toBe('broken');
    expect(run.because).toMatch(/no line to the rig/);
    expect(isOver(run.state)).toBe(true);
  });

  test('a run whose page is gone is let down, whoever else watches', async () => {
    let t = 0;
    await serve((say, socket) => {
      say(hello);
      const clock = setInterval(() => {
        t += 0.1;
        say({ t, p: 3, ml: 0.2 });
        if (commands().includes('release')) {
          clearInterval(clock);
          say({ event: 'down' });
        }
      }, 50);
      socket.on('close', () => clearInterval(clock));
    });
    const keeper = new RigKeeper();
    keeper.follow('another page', () => {});
    const run = await new Promise<RigRun>((resolve) => keeper.start(order(), here, { piece: () => {}, end: resolve }));
    expect([run.state, run.because]).toEqual(['aborted', 'the page that holds the run is gone']);
  });
});
