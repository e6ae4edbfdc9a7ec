import { attendedFrom, type JobList, type Op, type Shift, spanFrom } from './job-list';
import { SAME, Usage } from './usage';

const NEVER = Number.POSITIVE_INFINITY;

/** What a plan comes to, in the order in which it is better: units without room, lateness, the sum of finishes. */
export type Aim = { readonly unplaced: number; readonly lateness: number; readonly flow: number };

/** Is one better than another? Lateness and flow that differ by rounding are the same. */
export const isBetter = (a: Aim, b: Aim): boolean => {
  if (a.unplaced !== b.unplaced) return a.unplaced < b.unplaced;
  if (differs(a.lateness, b.lateness)) return a.lateness < b.lateness;
  return differs(a.flow, b.flow) && a.flow < b.flow;
};
const differs = (a: number, b: number): boolean => Math.abs(a - b) > SAME * Math.max(1, Math.abs(a));

/** When operations begin and who does them. NaN: not placed. */
export type Placing = { readonly start: Float64Array; readonly end: Float64Array; readonly person: Int32Array };

/** A plan as it is made: operations are put where they find room, and taken off again. Started ones stand in it from the beginning. */
export class Board implements Placing {
  readonly start: Float64Array;
  readonly end: Float64Array;
  readonly person: Int32Array;
  private readonly people: readonly Usage[];
  private readonly benches: readonly Usage[];

  constructor(readonly jobs: JobList) {
    const n = jobs.ops.length;
    this.start = new Float64Array(n).fill(Number.NaN);
    this.end = new Float64Array(n).fill(Number.NaN);
    this.person = new Int32Array(n).fill(-1);
    // Outside of their shifts people are as good as busy.
    this.people = jobs.people.map((shifts) => {
      const usage = new Usage(1);
      for (const { fromMin, toMin } of shifts) usage.add(fromMin, toMin, -1);
      return usage;
    });
    this.benches = jobs.places.map(() => new Usage());
    for (const [o, op] of jobs.ops.entries())
      if (op.fixed !== undefined) this.stand(o, op.fixed.startMin, op.fixed.endMin, op.fixed.person);
  }

  isPlaced = (o: number): boolean => !Number.isNaN(this.start[o]);

  /** When an operation may begin at the earliest, by what comes before it; NaN where that is not placed. */
  after(o: number): number {
    const { unit, seq } = this.jobs.ops[o] as Op;
    const { ops, readyMin } = this.jobs.units[unit] as JobList['units'][number];
    return seq === 0 ? Math.max(0, readyMin) : Math.max(0, this.end[ops[seq - 1] as number] as number);
  }

  /** Where an operation finds room first, with the person who can begin it first (the first of several). @param notBefore where it is known to find none before @returns the start; `chosen` is who */
  earliest(o: number, notBefore = 0): number {
    const op = this.jobs.ops[o] as Op;
    const from = Math.max(notBefore, this.after(o));
    this.chosen = -1;
    if (op.kind === 'wait') return this.waitFrom(op, from);
    let best = NEVER;
    for (const person of op.able) {
      const at = this.workFrom(op, person, from, best);
      if (at < best - SAME) {
        best = at;
        this.chosen = person;
      }
    }
    return best;
  }
  /** Who `earliest` found. */
  chosen = -1;

  /** Where it finds room first with one person, or as a wait. @param notBefore where it is not to begin sooner, though it could */
  earliestWith = (o: number, person: number, notBefore = 0): number => {
    const op = this.jobs.ops[o] as Op;
    const from = Math.max(notBefore, this.after(o));
    return op.kind === 'wait' ? this.waitFrom(op, from) : this.workFrom(op, person, from, NEVER);
  };

  place(o: number, start: number, person: number): void {
    this.stand(o, start, start + (this.jobs.ops[o] as Op).minutes, person);
  }

  lift(o: number): void {
    this.use(o, -1);
    this.start[o] = Number.NaN;
    this.end[o] = Number.NaN;
    this.person[o] = -1;
  }

  /** All of a unit that is not placed yet, each operation in its earliest room. @returns whether all of it found room; if not, nothing of it was placed */
  placeUnit(unit: number): boolean {
    const { ops } = this.jobs.units[unit] as JobList['units'][number];
    const placed: number[] = [];
    for (const o of ops) {
      if (this.isPlaced(o)) continue;
      const at = this.earliest(o);
      if (at === NEVER) {
        for (const p of placed) this.lift(p);
        return false;
      }
      this.place(o, at, this.chosen);
      placed.push(o);
    }
    return true;
  }

  /** Takes off what is placed of a unit and was not started. */
  liftUnit(unit: number): void {
    for (const o of (this.jobs.units[unit] as JobList['units'][number]).ops)
      if (this.isPlaced(o) && (this.jobs.ops[o] as Op).fixed === undefined) this.lift(o);
  }

  /** When a unit is finished; NaN where not all of it has room. */
  finish(unit: number): number {
    const { ops } = this.jobs.units[unit] as JobList['units'][number];
    return this.end[ops.at(-1) as number] as number;
  }

  aim(): Aim {
    let [unplaced, lateness, flow] = [0, 0, 0];
    for (const [u, { dueMin, weight }] of this.jobs.units.entries()) {
      const finish = this.finish(u);
      if (Number.isNaN(finish)) unplaced += 1;
      else {
        lateness += weight * Math.max(0, finish - dueMin);
        flow += finish;
      }
    }
    return { unplaced, lateness, flow };
  }

  private stand(o: number, start: number, end: number, person: number): void {
    this.start[o] = start;
    this.end[o] = end;
    this.person[o] = person;
    this.use(o, 1);
  }

  private use(o: number, by: 1 | -1): void {
    const [start, end, person] = [this.start[o] as number, this.end[o] as number, this.person[o] as number];
    if (person >= 0) this.people[person]?.add(start, end, by);
    this.benches[(this.jobs.ops[o] as Op).bench]?.add(start, end, by);
  }

  private waitFrom({ bench, minutes }: Op, from: number): number {
    const usage = this.benches[bench];
    if (usage === undefined) return from;
    let at = from;
    while (at < NEVER) {
      const attended = attendedFrom(this.jobs.attended, at);
      at = usage.earliest(attended, minutes, this.jobs.places[bench] as number);
      if (at === attended) return at;
    }
    return NEVER;
  }

  /** @param before nobody asks for a start from here on */
  private workFrom({ bench, minutes }: Op, person: number, from: number, before: number): number {
    const shifts = this.jobs.people[person] as readonly Shift[];
    const [own, there] = [this.people[person] as Usage, this.benches[bench]];
    for (let at = from; ; ) {
      const free = own.earliest(at, minutes, 1);
      if (free >= before) return NEVER;
      const room = there === undefined ? free : there.earliest(free, minutes, this.jobs.places[bench] as number);
      // Two shifts that touch stay two: a work lies in one of them.
      const begins = shifts[spanFrom(shifts, free + minutes)]?.fromMin ?? NEVER;
      if (room === free && begins <= free + SAME) return free;
      at = Math.max(room, begins <= free + SAME ? free : begins);
      if (at === NEVER) return NEVER;
    }
  }
}
