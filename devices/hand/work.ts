import { assemblyOrder } from '@/core/close-up/order';
import { usesOld } from '@/core/close-up/piece';
import { sideOf } from '@/core/close-up/side';
import { isFastener } from '@/core/family/part-kind';
import { FINISHES, type FinishName, openingsOf } from '@/core/finish/finish';
import { NO_TOUCH, type Touch } from '@/core/fluid/contact';
import { FINE } from '@/core/prove/hold-analysis';
import { isRunStep, type RunStep } from '@/core/prove/programme/step';
import { analyseRun } from '@/core/prove/run-analysis';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import type { Fastened, TrayPart } from '@/core/strip/tray-schema';
import { factsOf } from '@/core/unit/facts-of';
import { keptBarOf, provingOf } from '@/core/unit/proving';
import { namedNeeds, rankedKits } from '@/core/unit/ranked-kits';
import type { UnitRecord } from '@/core/unit/unit-record';
import { putOnFinish } from '@/db/finish/finish';
import { openBag } from '@/db/kit/kit';
import { setAside } from '@/db/kit/take';
import { noteSeen } from '@/db/prove/proof';
import { endRun, startRun } from '@/db/prove/prove';
import { release, signForRelease } from '@/db/release/release';
import { wholeStore } from '@/db/store/catalogue';
import { recordPart } from '@/db/strip/tray';
import { noteAtBench, saveGap, saveVacuum } from '@/db/unit/bench';
import { leave, signOff } from '@/db/unit/sign-off';
import type { Truth } from '../rig/chamber';
import { must } from './must';
import { simulateStep } from './rig-trace';
import { WorkApart } from './work-apart';

/** The same unit on its way together again, proved and out. */
export class Work extends WorkApart {
  async kit(): Promise<void> {
    const best = rankedKits(namedNeeds(await this.record()), await wholeStore(this.db, this.at)).find(
      (r) => r.kit.stock > 0 && r.match.coverage === 1,
    );
    if (best === undefined) throw new Error(`no kit covers ${this.unitId}`);
    await must(setAside(this.db, this.next('kit-set-aside', best.kit.number), { articleId: best.kit.id, qty: 1 }));
    for (const bag of (await this.record()).setAside)
      await must(openBag(this.db, this.next('kit-opened', bag.number), { bagId: bag.id, findings: [] }));
    await must(signOff(this.db, this.next('signed-off', 'kit'), { station: 'kit', note: '', override: null }));
  }

  /** What fluid and rubber meet in it. */
  async touch(more: Partial<Touch> = {}): Promise<void> {
    const data = { ...NO_TOUCH, fluid: 'dot-4', wasFluid: 'dot-4', rubber: 'epdm', ...more } as const;
    await must(noteAtBench(this.db, this.next('touch-noted', 'touch', undefined, 1), { kind: 'touch', ...data }));
  }

  /** @param leaveOut how many parts are not in yet */
  async closeUp(leaveOut = 0): Promise<void> {
    await this.touch();
    const { tray, family } = await this.record();
    const parts = assemblyOrder(family, tray);
    for (const part of parts.slice(0, parts.length - leaveOut)) {
      const faces = sideOf(family, tray, part)?.toward ?? null;
      await must(
        recordPart(this.db, this.next('part-in', '', undefined, 2), part.id, {
          goesIn: { piece: usesOld(part) ? 'same' : 'new', faces: part.kind === 'spring' ? null : faces },
          ...(isFastener(part.kind) ? { fastened: tightened(part) } : {}),
        }),
      );
    }
    if (leaveOut > 0) return;
    if (factsOf(await this.record()).halves === 'apart') {
      const fastened = { how: 'torque', nm: 95, hand: 'right', source: 'workshop manual, brakes' } as const;
      const joined = { kind: 'joined', otherTag: '', screws: 4, screwsAre: 'new', fastened } as const;
      await must(noteAtBench(this.db, this.next('joined', '', undefined, 4), joined));
    }
    if (family.bore !== 'none')
      await must(noteAtBench(this.db, this.next('stroked', '', undefined, 1), { kind: 'stroked', returns: 'by-itself' }));
    await must(signOff(this.db, this.next('signed-off', 'close-up'), { station: 'close-up', note: '', override: null }));
  }

  async set(): Promise<void> {
    const { family } = await this.record();
    if (!family.hasGap) return;
    const off = Math.round(this.random.normal(0.08) * 100) / 100;
    const reading = 7.55 + Math.max(-0.2, Math.min(0.2, off));
    const again = { standOff2: 5.2, socket2: 18.42, edge2: 20, reading2: reading + 0.02 };
    const sheet = { standOff: 5.2, socket: 18.4, edge: 20, reading, ...again, step: 0.05, pitch: 1, ratio: 4.2 };
    await must(saveGap(this.db, this.next('gap-saved', '', undefined, 10), { way: 'depths', sheet }));
    await must(signOff(this.db, this.next('signed-off', 'set', undefined, 1), { station: 'set', note: '', override: null }));
  }

  /** Something was put on it, at a time, and cures. */
  async finish(finish: FinishName, at: number): Promise<void> {
    const { family, unit } = await this.record();
    const plugs = FINISHES[finish].openings === 'plugged' ? openingsOf(family, unit.geometry).length : 0;
    const change = { ...this.next('finish-started', FINISHES[finish].label), at };
    await must(putOnFinish(this.db, change, { finish, minutes: FINISHES[finish].minutes, plugs, note: '' }));
  }

  /** A booster is tried by hand. */
  async tryByHand(): Promise<void> {
    await must(noteAtBench(this.db, this.next('tried-by-hand', 'check-valve'), { kind: 'check-valve', holds: 'holds', passes: 'passes' }));
    for (const [rod, perS] of [
      ['at-rest', 0.04],
      ['pressed', 0.09],
    ] as const) {
      const samples = [0, 5, 10, 15, 20].map((tS) => ({ tS, kPa: Math.round((67 - perS * tS) * 10) / 10 }));
      await must(saveVacuum(this.db, this.next('tried-by-hand', 'vacuum'), { rod, samples }));
    }
    await must(signOff(this.db, this.next('signed-off', 'prove', undefined, 1), { station: 'prove', note: '', override: null }));
  }

  /** Every step that must be done, on the rig, in order; up to one that does not pass. */
  async prove(given: Truth): Promise<void> {
    const truth = withValve(given, await this.record());
    for (const { step } of provingOf(await this.record()).filter((s) => s.step.need === 'must')) {
      if (isRunStep(step) && !(await this.runStep(step, truth))) return;
      if (step.kind === 'port')
        await must(
          noteSeen(this.db, this.next('step-seen', '', undefined, 1), {
            stepId: step.id,
            answer: 'good',
            readings: null,
            wet: null,
            note: '',
          }),
        );
    }
    await this.signProved();
  }

  /** @returns whether it passed */
  async runStep(step: RunStep, truth: Truth): Promise<boolean> {
    const change = this.next('run-started', '', undefined, 6);
    await must(startRun(this.db, change, { runId: change.eventId, stepId: step.id, way: 'rig' }));
    const samples = simulateStep(step, truth, this.random);
    const context = { rules: STANDARD_RULES, keptBar: keptBarOf(await this.record()), readTo: FINE, way: 'rig' as const };
    const analysis = analyseRun(step, samples, context) ?? null;
    const end = { runId: change.eventId, rig: 'Stand-in rig', state: 'finished', because: '', step, samples, analysis } as const;
    await must(endRun(this.db, this.next('run-ended'), end));
    return analysis?.outcome === 'pass';
  }

  async signProved(): Promise<void> {
    await must(signOff(this.db, this.next('signed-off', 'prove', undefined, 1), { station: 'prove', note: '', override: null }));
  }

  async sign(): Promise<void> {
    await must(signForRelease(this.db, this.next('signed', this.people.bench.name), this.people.bench));
  }

  async release(): Promise<void> {
    await this.sign();
    await must(signForRelease(this.db, this.next('signed', this.people.lead.name, this.people.lead, 30), this.people.lead));
    await must(release(this.db, this.next('released', '', this.people.lead)));
  }

  async scrap(): Promise<void> {
    await must(leave(this.db, this.next('exited', 'cracked through to the outlet', this.people.lead), 'scrapped'));
  }
}

/** What the rig finds of a unit that has a residual valve: one in order. */
export const withValve = (truth: Truth, { tray }: Pick<UnitRecord, 'tray'>): Truth =>
  tray.some((p) => p.kind === 'residual-valve' && p.found !== 'absent') ? { ...truth, residualBar: 0.9 } : truth;

/** How the demo's people tighten a screw. */
const tightened = (part: TrayPart): Fastened =>
  part.kind === 'bleed-screw'
    ? { how: 'torque', nm: 9, hand: 'right', source: 'workshop manual, brakes, table 3' }
    : { how: 'by-feel', hand: 'right', reason: 'no figure in the manual' };
