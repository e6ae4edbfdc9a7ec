import type { CauseName } from '@/core/book-in/cause';
import { cleaningFor, drillingsOf } from '@/core/clean/cleaning';
import { partFacing } from '@/core/family/family';
import { roleOf } from '@/core/family/family-name';
import type { Geometry } from '@/core/family/geometry';
import type { PartKind } from '@/core/family/part-kind';
import { boreMmAt } from '@/core/family/pots';
import { covers } from '@/core/gauge/unlikely';
import { DRIVES } from '@/core/hone/drive';
import { honePlan } from '@/core/hone/hone-plan';
import { sayHoned } from '@/core/hone/say-honed';
import { startDiaOf } from '@/core/hone/start-dia';
import type { Person } from '@/core/people/role';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import type { Condition } from '@/core/strip/condition';
import { guideFor } from '@/core/strip/guide';
import { usualFate } from '@/core/strip/tray';
import type { TrayPart } from '@/core/strip/tray-schema';
import { METHODS, type MethodName, type StuckState, type TreatmentResult } from '@/core/strip/treatment';
import { boresOf } from '@/core/unit/bores';
import type { EventKind } from '@/core/unit/event-kind';
import { currentVerdict } from '@/core/unit/facts-of';
import type { UnitRecord } from '@/core/unit/unit-record';
import { find } from '@/db/book-in/findings';
import { treat } from '@/db/clean/treatments';
import { answerCustomer, askCustomer } from '@/db/customer/approval';
import type { Change } from '@/db/engine/change-unit';
import type { Db } from '@/db/engine/connection';
import { loadUnit } from '@/db/engine/load-unit';
import { saveGauging } from '@/db/gauge/gauging';
import { instruments } from '@/db/gauge/instruments';
import { logPass } from '@/db/hone/hone';
import { saveJudgement } from '@/db/judge/judgement';
import { sendOut } from '@/db/sleeve/sleeve';
import { tellStep } from '@/db/strip/guide';
import { addPart, recordPart } from '@/db/strip/tray';
import { boreCut, signOff } from '@/db/unit/sign-off';
import type { BoreStory } from './bore';
import { demoMarks, demoReadings, trueBore } from './bore';
import { must } from './must';
import { dimsOf } from './part-dims';
import type { Random } from './random';

/** One unit being worked on by the demo's people, by the same actions that the screens use: until its bore is good. Time moves on with every step. */
export class WorkApart {
  private step = 0;

  constructor(
    protected readonly db: Db,
    readonly unitId: string,
    protected at: number,
    protected readonly random: Random,
    protected readonly people: { readonly bench: Person; readonly lead: Person },
  ) {}

  /** What a person does next: a change of its own, some minutes later. */
  next(kind: EventKind, note = '', person = this.people.bench, minutes = 3): Change {
    this.at += minutes * 60_000;
    this.step += 1;
    return { eventId: `${this.unitId}-${this.step}`, unitId: this.unitId, person, at: this.at, version: null, kind, note, digest: '' };
  }

  async record(): Promise<UnitRecord> {
    const record = await loadUnit(this.db, this.unitId);
    if (record === undefined) throw new Error(`no unit ${this.unitId}`);
    return record;
  }

  async strip(): Promise<void> {
    const { tray, family, ...record } = await this.record();
    for (const part of tray) {
      const slot = family.slots.find((s) => s.id === part.slotId);
      const optional = slot?.optional === true && this.random.next() < 0.6;
      await must(
        recordPart(
          this.db,
          this.next('part-recorded', '', undefined, 1),
          part.id,
          optional
            ? { found: 'absent', condition: null, fate: null }
            : this.cameOut(part, boreMmAt({ ...record, family }, part.slotId) ?? 20, family),
        ),
      );
    }
    await must(signOff(this.db, this.next('signed-off', 'strip'), { station: 'strip', note: '', override: null }));
  }

  private cameOut(part: TrayPart, nominalMm: number, family: UnitRecord['family']) {
    const condition: Condition = SEALS.includes(part.kind)
      ? this.random.pick(['hard', 'worn', 'nicked', 'swollen'])
      : part.kind === 'boot'
        ? this.random.pick(['split', 'hard'])
        : part.kind === 'grommet'
          ? 'hard'
          : 'good';
    const faces = partFacing(family, part) ?? null;
    return {
      found: 'present' as const,
      condition,
      fate: usualFate(part.kind, condition),
      faces,
      dims: dimsOf(part, roleOf(family) === 'wheel', nominalMm),
    };
  }

  /** Ticks the strip guide, as far as is said. @param upTo how many steps; all of them if absent */
  async guide(upTo?: number): Promise<void> {
    const { family, tray, ticks } = await this.record();
    for (const step of guideFor(family, tray, ticks).slice(0, upTo)) {
      const dims = Object.fromEntries(
        step.measure.map((m) => [m.dim, m.dim === 'turns' ? 7 : Math.round((20 + this.random.next() * 90) * 10) / 10]),
      );
      await must(tellStep(this.db, this.next('step-ticked', '', undefined, 1), { stepId: step.id, outcome: 'done', note: '', dims }));
    }
  }

  async treat(
    method: MethodName,
    result: TreatmentResult,
    more: {
      readonly state?: StuckState;
      readonly bar?: number;
      readonly minutes?: number;
      readonly note?: string;
      readonly drilling?: string;
    } = {},
  ) {
    const change = this.next('treated', METHODS[method].label, undefined, more.minutes === undefined ? 8 : 2);
    const { state = null, bar = null, minutes = null, note = '', drilling = null } = more;
    await must(treat(this.db, change, { method, state, pressureBar: bar, minutes, result, note, drilling }));
  }

  /** Takes a part out that the family knows none such. */
  async addForeign(kind: PartKind, name: string, behindSlot: string, note: string): Promise<void> {
    const { tray } = await this.record();
    const change = this.next('part-added', name);
    const behindId = tray.find((p) => p.slotId === behindSlot)?.id ?? null;
    await must(addPart(this.db, change, { partId: change.eventId, kind, name, qty: 1, note, behindId }));
  }

  async markAbsent(slotId: string): Promise<void> {
    const { tray } = await this.record();
    const part = tray.find((p) => p.slotId === slotId);
    if (part !== undefined)
      await must(
        recordPart(this.db, this.next('part-recorded', '', undefined, 1), part.id, { found: 'absent', condition: null, fate: null }),
      );
  }

  /** Says what it was, so that the odds learn from it. */
  async itWas(cause: CauseName): Promise<void> {
    await must(find(this.db, this.next('found', `${cause}: yes`), { about: 'cause', name: cause, answer: 'yes' }));
  }

  async clean(): Promise<void> {
    const { unit, family, tray } = await this.record();
    const usable = cleaningFor({ material: unit.material, keptRubber: [], keptPlastic: [] }).map((a) => a.method);
    for (const method of ['wet-wipe', this.random.pick(['brake-cleaner', 'ultrasonic', 'hot-wash'] as const)] as const)
      if (usable.includes(method)) await this.treat(method, 'done');
    for (const d of drillingsOf(family, unit.geometry, tray)) await this.treat(d.method, 'done', { note: d.name, drilling: d.id });
    await this.treat('rinse', 'done');
    await this.treat('looked-again', 'done');
    await must(
      signOff(this.db, this.next('signed-off', 'clean', undefined, 20), {
        station: 'clean',
        note: '',
        override: null,
      }),
    );
  }

  async gauge(story: BoreStory = 'sound', honedMm = 0): Promise<void> {
    const known = await instruments(this.db);
    for (const { pot, geometry } of boresOf(await this.record())) {
      const change = this.next('gauged', '', undefined, 12);
      await must(
        saveGauging(this.db, change, {
          gaugingId: change.eventId,
          pot,
          readings: demoReadings(geometry, trueBore(geometry, story, honedMm), this.random),
          bodyTempC: 20.5,
          gaugeTempC: 20,
          instrumentId: known.find((i) => covers(i, geometry.nominalMm))?.id ?? null,
        }),
      );
    }
  }

  async judge(story: BoreStory, after = false): Promise<void> {
    for (const { pot, geometry } of boresOf(await this.record())) {
      const change = this.next('judged', '', undefined, 5);
      const found = demoMarks(after ? 'sound' : story, geometry);
      const of = `${this.unitId}${pot === 1 ? '' : `-pot${pot}`}`;
      const marks = found.map((m, i) => ({ ...m, id: `${of}-m${i + 1}`, name: `m${i + 1}`, seenAt: null }));
      await must(saveJudgement(this.db, change, { verdictId: change.eventId, pot, marks, school: null, wallMm: null }));
    }
  }

  /** Asks the customer about a sleeve, and with a yes sends the body out, to be back then. */
  async sleeve(answer: 'waiting' | 'yes', backAt: number): Promise<void> {
    const { unit, job, ...record } = await this.record();
    const said = currentVerdict({ unit, ...record })?.answer.reasons.join(' ') ?? '';
    const promisedAt = Math.max(unit.dueAt, backAt + 86_400_000);
    const text = `About the cylinder of your ${job.machine}: ${said} A sleeve costs 85.00 more. May we go on?`;
    const asked = this.next('asked', '', undefined, 10);
    await must(askCustomer(this.db, asked, { price: 85, promisedAt, text }));
    if (answer === 'waiting') return;
    await must(answerCustomer(this.db, this.next('answered', 'yes', undefined, 90), asked.eventId, 'yes'));
    const sent = { shop: 'Quayside Boring', material: 'sleeve-stainless', wallMm: 4.6, note: 'keep the feed port clear' } as const;
    await must(sendOut(this.db, this.next('sent-out', sent.shop, undefined, 30), { ...sent, promisedAt: backAt }));
  }

  /** Cuts or polishes as the verdict asks, and gauges and judges again after a cut. */
  async hone(story: BoreStory): Promise<void> {
    const verdict = (await this.record()).verdicts.at(-1)?.answer;
    if (verdict?.outcome === 'polish') {
      await must(
        signOff(this.db, this.next('signed-off', 'hone', undefined, 15), {
          station: 'hone',
          note: 'grey pad and fluid, by hand',
          override: null,
        }),
      );
    } else if (verdict?.outcome === 'hone' && verdict.gauge !== null && verdict.targetDiaMm !== null) {
      await this.cut();
      const note = sayHoned((await this.record()).passes);
      await must(boreCut(this.db, this.next('bore-changed', note, undefined, 10), note));
      const { unit } = await this.record();
      await this.gauge(story, verdict.targetDiaMm - bored(unit).nominalMm - 0.014);
      await this.judge(story, true);
    }
  }

  /** Passes with the stones as the plan says, each cutting a little more or less than the table. @param most at most so many */
  async cut(most = 12): Promise<void> {
    const setup = { drive: 'press', rpm: DRIVES.press.rpm, strokesPerMin: DRIVES.press.strokesPerMin } as const;
    for (let n = 0; n < most; n++) {
      const { unit, family, passes, ...record } = await this.record();
      const answer = currentVerdict({ unit, ...record })?.answer;
      const startDiaMm = answer === undefined ? null : startDiaOf(answer);
      if (answer?.targetDiaMm == null || startDiaMm === null || unit.geometry === null) return;
      const { targetDiaMm, limitDiaMm } = answer;
      const bore = { startDiaMm, targetDiaMm, limitDiaMm, material: unit.material, boreLengthMm: unit.geometry.lengthMm };
      const plan = honePlan(
        { ...bore, ...setup, blindEnd: family.bore === 'blind', stoneLengthMm: 25, finish: 'cross-hatch', passes },
        STANDARD_RULES,
      );
      const stage = plan.stages[0];
      if (stage === undefined) return;
      const beforeMm = passes.at(-1)?.afterMm ?? startDiaMm;
      const turns = (stage.gaugeAfterStrokes * setup.rpm) / setup.strokesPerMin;
      const cutMm = (turns * stage.umPer100Turns * (0.9 + this.random.next() * 0.3)) / 100_000;
      const afterMm = Math.min(Math.round((beforeMm + cutMm) * 1000) / 1000, targetDiaMm);
      const pass = {
        tool: 'stone',
        ...setup,
        grit: stage.grit,
        strokes: stage.gaugeAfterStrokes,
        beforeMm,
        afterMm,
        bodyTempC: null,
        note: '',
      } as const;
      await must(logPass(this.db, this.next('pass-logged', `${pass.strokes} strokes at ${pass.grit}`, undefined, 4), pass));
    }
  }
}

/** What wears out and is never used again. */
const SEALS: readonly PartKind[] = ['cup', 'plunger-seal', 'end-seal', 'square-seal', 'cross-over-seal', 'o-ring'];

const bored = (unit: UnitRecord['unit']): Geometry => {
  if (unit.geometry === null) throw new Error(`${unit.id} has no bore`);
  return unit.geometry;
};
