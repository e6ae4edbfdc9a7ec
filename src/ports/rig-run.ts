import { isOver, type RunState } from '@/core/prove/live-run';
import type { RunStep } from '@/core/prove/programme/step';
import type { RigSample } from '@/core/prove/rig-sample';
import type { RunAnalysis } from '@/core/prove/run-analysis';
import { fail, ok, type Result } from '@/core/result';
import { openRigLine, type RigAddress, type RigLine, type RigMessage, rigAddress } from './rig-line';

export type RunOrder = {
  readonly runId: string;
  readonly unitId: string;
  readonly tag: string;
  readonly by: string;
  /** The page that started it: with that gone nobody stands at the bench, whoever else watches. */
  readonly holder: string;
  readonly step: RunStep;
};

/** A run as it stands. `because` says why it was aborted or broke. */
export type RigRun = {
  readonly order: RunOrder;
  readonly rig: string;
  readonly speed: number;
  readonly state: RunState;
  readonly because: string;
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis | null;
};

/** Judges what a run has so far: null while there is too little, words where it could not be done. It may take its time; the watch goes on meanwhile. */
export type Analyse = (step: RunStep, samples: readonly RigSample[]) => Promise<Result<RunAnalysis | null, string>>;

/** Whoever keeps a run: each piece of it as it comes, and the whole at its end. */
export type RunStore = {
  readonly piece: (samples: readonly RigSample[]) => void;
  readonly end: (run: RigRun) => void;
};

/** Half an hour of holding at ten a second is 18,000 samples. */
const MOST_SAMPLES = 60_000;
/** Samples later than this are late: the rig is not trusted any more, ms. */
const LATE_MS = 2000;
/** A page that holds a run may be gone this long, ms: as long as loading it again takes. */
const GONE_MS = 3000;
/** How long a hold that decided nothing waits for somebody to have it go on, ms at the rig. */
const ASK_MS = 60_000;
/** Pressure that was let go is down within this time, ms at the rig. */
const DOWN_MS = 15_000;
/** However fast a stand-in runs: people and machines between are no faster for it, ms. */
const AT_LEAST_MS = { ask: 10_000, down: 5000 };
/** How often at the most a piece of the run is stored, ms: so much of it is lost with the server. */
const PIECE_MS = 500;
/** Pressure over the target that no sound rig shows. */
const OVER_BAR = 5;
const OVER_SHARE = 1.1;
/** Before the rod is let go the pressure stands this long, s; and past its time it is watched on, s. */
const STAND_S = 2;
const WATCH_ON_S = 2;

type Listener = (run: RigRun) => void;
/** A page that follows, by its own name. */
type Follower = { readonly page: string; readonly tell: Listener };

/** Keeps the one run that a rig can do at a time: watches every sample, lets the pressure down when anything is wrong, and hands the whole run over at its end. */
export class RigKeeper {
  private run: RigRun | undefined;
  private line: RigLine | undefined;
  private watch: NodeJS.Timeout | undefined;
  private gone: NodeJS.Timeout | undefined;
  private asking: NodeJS.Timeout | undefined;
  private falling: NodeJS.Timeout | undefined;
  /** The samples of the run so far: the run shows them, and they only grow. */
  private taken: RigSample[] = [];
  /** When each phase began, s, and with which sample. */
  private began = new Map<RigSample['phase'], { readonly t: number; readonly at: number }>();
  private analyse: Analyse = async () => ok(null);
  /** Whether a judgement is being made: one at a time. */
  private judging: 'no' | 'while it holds' | 'at its end' = 'no';
  /** Set while a run goes on: ends it as broken. */
  private breakOff: (why: string) => void = () => {};
  private readonly followers = new Set<Follower>();

  /** @param address where its rig listens, asked with each run */
  constructor(private readonly address: () => RigAddress = rigAddress) {}

  get current(): RigRun | undefined {
    return this.run;
  }

  get busy(): boolean {
    return this.run !== undefined && !isOver(this.run.state);
  }

  /** Starts a run. @param store gets its pieces, and the whole run once, also when it was aborted or broke */
  start(order: RunOrder, analyse: Analyse, store: RunStore): Result<void, { readonly code: 'busy'; readonly tag: string }> {
    if (this.run !== undefined && this.busy) return fail({ code: 'busy', tag: this.run.order.tag });
    const { step } = order;
    this.falling = undefined;
    [this.taken, this.began, this.analyse, this.judging] = [[], new Map(), analyse, 'no'];
    this.run = {
      order,
      rig: '',
      speed: 1,
      state: step.kind === 'cycles' ? 'cycling' : 'filling',
      because: '',
      samples: this.taken,
      analysis: null,
    };
    let stored = 0;
    const storePiece = (): void => {
      const fresh = this.taken.slice(stored);
      if (fresh.length === 0) return;
      stored += fresh.length;
      store.piece(fresh);
    };
    const pieces = setInterval(storePiece, PIECE_MS);
    let ended = false;
    const end = async (state: 'finished' | 'aborted' | 'broken', because: string): Promise<void> => {
      if (ended) return;
      ended = true;
      clearInterval(pieces);
      for (const timer of [this.watch, this.gone, this.asking, this.falling]) clearTimeout(timer);
      this.line?.close();
      this.tell({ because });
      const judged = await analyse(this.run?.order.step ?? step, this.taken);
      // A run that could not be judged has no outcome, and is not called finished.
      if (judged.ok) this.tell({ state, analysis: judged.value });
      else this.tell(state === 'finished' ? { state: 'broken', because: judged.error, analysis: null } : { state, analysis: null });
      store.end(this.run as RigRun);
    };
    const broken = (why: string): void => {
      // Whatever is wrong, the pressure is asked to come down.
      this.line?.send({ cmd: 'release' });
      void end('broken', why);
    };
    this.breakOff = broken;
    const wait = (): void => {
      clearTimeout(this.watch);
      this.watch = setTimeout(() => broken('samples stopped'), LATE_MS);
    };
    const hear = (message: RigMessage | { readonly rubbish: string }): void => {
      wait();
      const run = this.run;
      if (run === undefined || ended) return;
      if ('rubbish' in message) return broken(`the rig sent something that is no sample: ${message.rubbish}`);
      if ('error' in message) return broken(`the rig says: ${message.error}`);
      if ('hello' in message) return this.tell({ rig: message.name, speed: message.speed });
      if ('event' in message)
        return message.event === 'down'
          ? void end(run.because === '' ? 'finished' : 'aborted', run.because)
          : RISING.includes(run.state)
            ? this.tell({ state: message.event })
            : undefined;
      const fault = sampleFault(message, run);
      if (fault !== undefined) return broken(fault);
      this.take(message);
    };
    this.line = openRigLine(this.address(), hear, broken);
    this.waitForHolder();
    this.line.send({ cmd: 'begin', unit: order.tag });
    this.line.send({
      cmd: 'pressurise',
      targetBar: step.targetBar,
      rampS: step.rampS,
      ...(step.chamber === null ? {} : { chamber: step.chamber }),
      ...(step.kind === 'cycles' ? { strokes: step.strokes } : {}),
    });
    wait();
    return ok(undefined);
  }

  /** Lets the pressure down now. */
  abort(why: string): void {
    if (this.run === undefined || !this.busy) return;
    this.letDown({ because: why });
  }

  /** Has a hold that decided nothing go on by as long as it asked for. @returns false when none asks */
  holdLonger(): boolean {
    const run = this.run;
    if (run?.state !== 'asking' || run.analysis?.kind !== 'hold' || run.analysis.needMoreS === null || !('holdS' in run.order.step))
      return false;
    clearTimeout(this.asking);
    const { step } = run.order;
    const holdS = step.holdS + Math.ceil(run.analysis.needMoreS);
    this.tell({ state: 'holding', order: { ...run.order, step: { ...step, holdS } } });
    return true;
  }

  /** Asks the pressure down, and says so when it does not come: then the rig is free for nobody's next run by itself, but for a person to look at. */
  private letDown(news: Partial<RigRun>): void {
    clearTimeout(this.asking);
    this.line?.send({ cmd: 'release' });
    this.tell({ ...news, state: 'letting-down' });
    this.falling ??= setTimeout(
      () =>
        this.breakOff(
          'the pressure does not come down: open the rig’s valve by hand, shield shut, and look at the rig before it is used again',
        ),
      Math.max(AT_LEAST_MS.down, DOWN_MS / (this.run?.speed ?? 1)),
    );
  }

  /** Follows the run from its beginning. @returns how to stop following; when the page that holds the run goes, the pressure comes down */
  follow(page: string, tell: Listener): () => void {
    const follower = { page, tell };
    this.followers.add(follower);
    this.waitForHolder();
    if (this.run !== undefined) tell(this.run);
    return () => {
      this.followers.delete(follower);
      this.waitForHolder();
    };
  }

  /** While the page that holds the run is not there, it has a moment to come back. */
  private waitForHolder(): void {
    clearTimeout(this.gone);
    if (!this.busy || [...this.followers].some((f) => f.page === this.run?.order.holder)) return;
    this.gone = setTimeout(() => this.abort('the page that holds the run is gone'), GONE_MS);
  }

  private take(sample: Omit<RigSample, 'phase'>): void {
    const run = this.run as RigRun;
    const { step } = run.order;
    const phase = PHASE_OF[run.state] ?? 'hold';
    const began = this.began.get(phase) ?? { t: sample.t, at: this.taken.length };
    this.began.set(phase, began);
    this.taken.push({ ...sample, phase });
    const standsS = sample.t - began.t;
    if (run.state === 'watching') {
      const watchS = step.kind === 'port' ? step.withinS + WATCH_ON_S : 'holdS' in step ? step.holdS : 0;
      return standsS < watchS - FLOAT_S ? this.tell({}) : this.letDown({});
    }
    if (run.state !== 'holding') return this.tell({});
    if (step.kind === 'port' || step.kind === 'residual') {
      if (standsS < STAND_S - FLOAT_S) return this.tell({});
      this.line?.send({ cmd: 'let-go' });
      return this.tell({ state: 'watching' });
    }
    this.tell({});
    const held = this.taken.length - began.at;
    if (standsS >= step.holdS - FLOAT_S) void this.judgeNow('at its end');
    // The fit is worth a second look once a second, not with every sample.
    else if (held % 10 === 0) void this.judgeNow('while it holds');
  }

  /** Has a hold judged while it goes on being watched; at its end it comes down, or asks to go on. */
  private async judgeNow(when: 'while it holds' | 'at its end'): Promise<void> {
    if (this.judging === when || this.judging === 'at its end') return;
    this.judging = when;
    const { runId, step } = (this.run as RigRun).order;
    const judged = await this.analyse(step, this.taken);
    const run = this.run;
    if (run?.order.runId !== runId || this.judging !== when) return;
    this.judging = 'no';
    if (run.state !== 'holding') return;
    const analysis = judged.ok ? judged.value : null;
    if (when === 'while it holds') return judged.ok ? this.tell({ analysis }) : undefined;
    // What holding on cannot decide (too little pressure, half of it gone) comes down too.
    if (analysis?.kind !== 'hold' || analysis.needMoreS === null) return this.letDown({ analysis });
    // Before it is told: a follower may answer at once.
    this.asking = setTimeout(() => this.letDown({}), Math.max(AT_LEAST_MS.ask, ASK_MS / run.speed));
    this.tell({ analysis, state: 'asking' });
  }

  private tell(news: Partial<RigRun>): void {
    this.run = { ...(this.run as RigRun), ...news };
    for (const follower of this.followers) follower.tell(this.run);
  }
}

/** Only on its way up does a run go where the rig says: a late word does not call back one that is let down. */
const RISING: readonly RunState[] = ['cycling', 'filling'];
/** Times are sums of tenths: they miss their mark by no more than this, s. */
const FLOAT_S = 1e-6;
const PHASE_OF: { readonly [S in RunState]?: RigSample['phase'] } = {
  cycling: 'cycle',
  filling: 'fill',
  watching: 'gone',
  'letting-down': 'down',
};

/** Out of range, out of order: the application never trusts a device. */
const sampleFault = (s: { readonly t: number; readonly p: number; readonly ml: number }, run: RigRun): string | undefined => {
  const last = run.samples.at(-1);
  if (run.samples.length >= MOST_SAMPLES) return 'the rig sent more samples than any run has';
  if (last !== undefined && !(s.t > last.t)) return `the rig's clock ran backward at ${s.t} s`;
  if (!(s.p >= -1 && s.p <= run.order.step.targetBar * OVER_SHARE + OVER_BAR)) return `pressure out of range: ${s.p} bar`;
  return undefined;
};

declare global {
  var eddrinRig: RigKeeper | undefined;
}

export const theRig = (): RigKeeper => {
  globalThis.eddrinRig ??= new RigKeeper();
  return globalThis.eddrinRig;
};
