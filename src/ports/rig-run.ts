import { analyseRun, type RigSample, type RunAnalysis } from '@/core/prove/run-analysis';
import { fail, ok, type Result } from '@/core/result';
import type { Rules } from '@/core/rules/rule-set';
import { openRigLine, type RigLine, type RigMessage } from './rig-line';

export type RunOrder = {
  readonly runId: string;
  readonly unitId: string;
  readonly tag: string;
  readonly by: string;
  readonly targetBar: number;
  readonly holdS: number;
};
/** `asking`: the hold is over and decided nothing; pressure stays while a person may have it held longer. */
export type RunState = 'filling' | 'holding' | 'asking' | 'letting-down' | 'finished' | 'aborted' | 'broken';

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

/** Samples later than this are late: the rig is not trusted any more, ms. */
const LATE_MS = 2000;
/** A page that holds a run may be gone this long, ms. */
const GONE_MS = 5000;
/** How long a hold that decided nothing waits for somebody to have it go on, ms at the rig. */
const ASK_MS = 60_000;
/** Pressure that was let go is down within this time, ms at the rig. */
const DOWN_MS = 15_000;
/** Pressure over the target that no sound rig shows. */
const OVER_BAR = 5;
const OVER_SHARE = 1.1;

type Listener = (run: RigRun) => void;

/** Keeps the one run that a rig can do at a time: watches every sample, lets the pressure down when anything is wrong, and hands the whole run over at its end. */
export class RigKeeper {
  private run: RigRun | undefined;
  private line: RigLine | undefined;
  private watch: NodeJS.Timeout | undefined;
  private gone: NodeJS.Timeout | undefined;
  private asking: NodeJS.Timeout | undefined;
  private falling: NodeJS.Timeout | undefined;
  /** Set while a run goes on: ends it as broken. */
  private breakOff: (why: string) => void = () => {};
  private readonly listeners = new Set<Listener>();

  get current(): RigRun | undefined {
    return this.run;
  }

  get busy(): boolean {
    return this.run !== undefined && !isOver(this.run.state);
  }

  /** Starts a run. @param finished gets the whole run once, also when it was aborted or broke */
  start(order: RunOrder, rules: Rules, finished: (run: RigRun) => void): Result<void, { readonly code: 'busy'; readonly tag: string }> {
    if (this.run !== undefined && this.busy) return fail({ code: 'busy', tag: this.run.order.tag });
    this.falling = undefined;
    this.run = { order, rig: '', speed: 1, state: 'filling', because: '', samples: [], analysis: null };
    const end = (state: 'finished' | 'aborted' | 'broken', because: string): void => {
      if (this.run === undefined || isOver(this.run.state)) return;
      for (const timer of [this.watch, this.gone, this.asking, this.falling]) clearTimeout(timer);
      this.line?.close();
      this.tell({ state, because, analysis: analyseRun(this.run.samples, rules) ?? null });
      finished(this.run);
    };
    const broken = (why: string): void => {
      // Whatever is wrong, the pressure is asked to come down.
      this.line?.send({ cmd: 'release' });
      end('broken', why);
    };
    this.breakOff = broken;
    const wait = (): void => {
      clearTimeout(this.watch);
      this.watch = setTimeout(() => broken('samples stopped'), LATE_MS);
    };
    const hear = (message: RigMessage | { readonly rubbish: string }): void => {
      wait();
      const run = this.run;
      if (run === undefined || isOver(run.state)) return;
      if ('rubbish' in message) return broken(`the rig sent something that is no sample: ${message.rubbish}`);
      if ('error' in message) return broken(`the rig says: ${message.error}`);
      if ('hello' in message) return this.tell({ rig: message.name, speed: message.speed });
      if ('event' in message)
        return message.event === 'down' ? end(run.because === '' ? 'finished' : 'aborted', run.because) : this.tell({ state: 'holding' });
      const fault = sampleFault(message, run);
      if (fault !== undefined) return broken(fault);
      this.take(message, rules);
    };
    this.line = openRigLine(hear, broken);
    if (this.listeners.size === 0) this.waitForPage();
    this.line.send({ cmd: 'begin', unit: order.tag });
    this.line.send({ cmd: 'pressurise', targetBar: order.targetBar });
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
    if (run?.state !== 'asking') return false;
    clearTimeout(this.asking);
    const more = Math.ceil(run.analysis?.needMoreS ?? run.order.holdS);
    this.tell({ state: 'holding', order: { ...run.order, holdS: run.order.holdS + more } });
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
      DOWN_MS / (this.run?.speed ?? 1),
    );
  }

  /** Follows the run from its beginning. @returns how to stop following; when the last page goes, the pressure comes down */
  follow(listener: Listener): () => void {
    clearTimeout(this.gone);
    this.listeners.add(listener);
    if (this.run !== undefined) listener(this.run);
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size === 0 && this.busy) this.waitForPage();
    };
  }

  private waitForPage(): void {
    this.gone = setTimeout(() => this.abort('the page that watched the run is gone'), GONE_MS);
  }

  private take(
    sample: { readonly t: number; readonly p: number; readonly ml: number; readonly c?: number | null | undefined },
    rules: Rules,
  ): void {
    const run = this.run as RigRun;
    const phase = run.state === 'filling' ? 'fill' : run.state === 'letting-down' ? 'down' : 'hold';
    const samples = [...run.samples, { ...sample, phase } as RigSample];
    const held = samples.filter((s) => s.phase === 'hold');
    const heldS = held.length === 0 ? 0 : (held.at(-1) as RigSample).t - (held[0] as RigSample).t;
    // The fit is worth a second look once a second, not with every sample.
    const analysis = phase === 'hold' && held.length % 10 === 0 ? (analyseRun(samples, rules) ?? null) : run.analysis;
    if (run.state !== 'holding' || heldS < run.order.holdS - 1e-6) return this.tell({ samples, analysis });
    const last = analyseRun(samples, rules) ?? null;
    if (last?.outcome !== 'hold-longer') return this.letDown({ samples, analysis: last });
    this.tell({ samples, analysis: last, state: 'asking' });
    this.asking = setTimeout(() => this.letDown({}), ASK_MS / run.speed);
  }

  private tell(news: Partial<RigRun>): void {
    this.run = { ...(this.run as RigRun), ...news };
    for (const listener of this.listeners) listener(this.run);
  }
}

export const isOver = (state: RunState): boolean => state === 'finished' || state === 'aborted' || state === 'broken';

/** Out of range, out of order: the application never trusts a device. */
const sampleFault = (s: { readonly t: number; readonly p: number; readonly ml: number }, run: RigRun): string | undefined => {
  const last = run.samples.at(-1);
  if (last !== undefined && !(s.t > last.t)) return `the rig's clock ran backward at ${s.t} s`;
  if (!(s.p >= -1 && s.p <= run.order.targetBar * OVER_SHARE + OVER_BAR)) return `pressure out of range: ${s.p} bar`;
  return undefined;
};

declare global {
  var eddrinRig: RigKeeper | undefined;
}

export const theRig = (): RigKeeper => {
  globalThis.eddrinRig ??= new RigKeeper();
  return globalThis.eddrinRig;
};
