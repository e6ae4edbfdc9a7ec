import type { CauseName } from '@/core/book-in/cause';
import { cleaningFor, drillingsOf } from '@/core/clean/cleaning';
import { METHODS, type MethodName, type StuckState, type TreatmentResult } from '@/core/clean/treatment';
import { partFacing } from '@/core/family/family';
import type { Geometry } from '@/core/family/geometry';
import type { PartKind } from '@/core/family/part-kind';
import { DRIVES } from '@/core/hone/drive';
import { honePlan } from '@/core/hone/hone-plan';
import { sayHoned } from '@/core/hone/say-honed';
import { startDiaOf } from '@/core/hone/start-dia';
import type { Person } from '@/core/people/role';
import { analyseRun, type RigSample } from '@/core/prove/run-analysis';
import type { Result } from '@/core/result';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { guideFor } from '@/core/strip/guide';
import type { Condition } from '@/core/strip/tray';
import { usualFate } from '@/core/strip/tray';
import type { TrayPart } from '@/core/strip/tray-door';
import type { EventKind } from '@/core/unit/event-kind';
import { currentVerdict } from '@/core/unit/facts-of';
import { namedNeeds, rankedKits } from '@/core/unit/ranked-kits';
import type { UnitRecord } from '@/core/unit/unit-record';
import type { Change } from '@/db/change-unit';
import type { Db } from '@/db/connection';
import { instruments } from '@/db/instruments';
import { loadUnit } from '@/db/load-unit';
import { answerCustomer, askCustomer } from '@/db/stations/approval';
import { saveGauging, saveJudgement } from '@/db/stations/bore';
import { find } from '@/db/stations/findings';
import { tellStep } from '@/db/stations/guide';
import { logPass } from '@/db/stations/hone';
import { openBag, setAside } from '@/db/stations/kit';
import { endRun, startRun } from '@/db/stations/prove';
import { release, signForRelease } from '@/db/stations/release';
import { boreCut, leave, signOff } from '@/db/stations/sign-off';
import { sendOut } from '@/db/stations/sleeve';
import { addPart, recordPart } from '@/db/stations/tray';
import { treat } from '@/db/stations/treatments';
import { wholeStore } from '@/db/store/catalogue';
import { EMPTY, step, type Truth } from '../devices/rig/chamber';
import { demoMarks, demoReadings, trueBore } from './bore';
import type { Random } from './random';
import type { BoreStory } from './scenario';

/** One unit being worked on by the demo's people, by the same doors that the screens use. Time moves on with every step. */
export class Work {
  private step = 0;

  constructor(
    private readonly db: Db,
    readonly unitId: string,
    private at: number,
    private readonly random: Random,
    private readonly people: { readonly bench: Person; readonly lead: Person },
  ) {}

  /** What a person does next: a change of its own, some minutes later. */
  next(kind: EventKind, note = '', person = this.people.bench, minutes = 3): Change {
    this.at += minutes * 60_000;
    this.step += 1;
    return { eventId: `${this.unitId}-${this.step}`, unitId: this.unitId, person, at: this.at, version: null, kind, note };
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
          optional ? { found: 'absent', condition: null, fate: null } : this.cameOut(part, record.unit, family),
        ),
      );
    }
    await must(signOff(this.db, this.next('signed-off', 'strip'), { station: 'strip', note: '', override: null }));
  }

  private cameOut(part: TrayPart, unit: UnitRecord['unit'], family: UnitRecord['family']) {
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
      dims: dimsOf(part, family.name.startsWith('wheel'), unit.geometry?.nominalMm ?? 20),
    };
  }

  /** Ticks the strip guide, as far as is said. @param upTo how many steps; all of them if absent */
  async guide(upTo?: number): Promise<void> {
    const { family, tray } = await this.record();
    for (const step of guideFor(family, tray).slice(0, upTo)) {
      const dims = Object.fromEntries(
        step.measure.map((m) => [m.dim, m.dim === 'turns' ? 7 : Math.round((20 + this.random.next() * 90) * 10) / 10]),
      );
      await must(tellStep(this.db, this.next('step-ticked', '', undefined, 1), { stepId: step.id, outcome: 'done', note: '', dims }));
    }
  }

  async treat(
    method: MethodName,
    result: TreatmentResult,
    more: { readonly state?: StuckState; readonly bar?: number; readonly minutes?: number; readonly note?: string } = {},
  ) {
    const change = this.next('treated', METHODS[method].label, undefined, more.minutes === undefined ? 8 : 2);
    const { state = null, bar = null, minutes = null, note = '' } = more;
    await must(treat(this.db, change, { method, state, pressureBar: bar, minutes, result, note }));
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
    for (const d of drillingsOf(family, unit.geometry, tray)) await this.treat(d.method, 'done', { note: d.name });
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
    const { unit } = await this.record();
    const [gauge] = await instruments(this.db);
    const change = this.next('gauged', '', undefined, 12);
    await must(
      saveGauging(this.db, change, {
        gaugingId: change.eventId,
        readings: demoReadings(bored(unit), trueBore(bored(unit), story, honedMm), this.random),
        bodyTempC: 20.5,
        gaugeTempC: 20,
        instrumentId: gauge?.id ?? null,
      }),
    );
  }

  async judge(story: BoreStory, after = false): Promise<void> {
    const { unit } = await this.record();
    const change = this.next('judged', '', undefined, 5);
    const found = demoMarks(after ? 'sound' : story, bored(unit));
    const marks = found.map((m, i) => ({ ...m, id: `${this.unitId}-m${i + 1}`, name: `m${i + 1}` }));
    await must(saveJudgement(this.db, change, { verdictId: change.eventId, marks, school: null, wallMm: null }));
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
      const pass = { tool: 'stone', ...setup, grit: stage.grit, strokes: stage.gaugeAfterStrokes, beforeMm, afterMm, note: '' } as const;
      await must(logPass(this.db, this.next('pass-logged', `${pass.strokes} strokes at ${pass.grit}`, undefined, 4), pass));
    }
  }

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

  /** @param leave how many parts are not in yet */
  async closeUp(leaveOut = 0): Promise<void> {
    const { tray, family } = await this.record();
    const parts = [...tray].reverse().filter((p) => p.found === 'present');
    for (const part of parts.slice(0, parts.length - leaveOut)) {
      const faces = partFacing(family, part) ?? null;
      await must(
        recordPart(this.db, this.next('part-in', '', undefined, 2), part.id, {
          goesIn: { piece: part.fate === 'refitted' ? 'same' : 'new', faces },
        }),
      );
    }
    if (leaveOut === 0)
      await must(signOff(this.db, this.next('signed-off', 'close-up'), { station: 'close-up', note: '', override: null }));
  }

  async set(): Promise<void> {
    const { family } = await this.record();
    if (family.hasGap)
      await must(
        signOff(this.db, this.next('signed-off', 'set', undefined, 10), {
          station: 'set',
          note: 'gap 0.7 mm by straight edge, rod as found',
          override: null,
        }),
      );
  }

  async prove(truth: Truth): Promise<void> {
    const change = this.next('run-started', '', undefined, 10);
    await must(startRun(this.db, change, { runId: change.eventId, targetBar: 80, holdS: 120 }));
    const samples = simulate(truth, this.random);
    const analysis = analyseRun(samples, STANDARD_RULES) ?? null;
    await must(
      endRun(this.db, this.next('run-ended'), {
        runId: change.eventId,
        rig: 'Stand-in rig',
        state: 'finished',
        because: '',
        samples,
        analysis,
      }),
    );
    if (analysis?.outcome === 'pass')
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

/** What wears out and is never used again. */
const SEALS: readonly PartKind[] = ['cup', 'plunger-seal', 'end-seal', 'square-seal', 'cross-over-seal', 'o-ring'];

const bored = (unit: UnitRecord['unit']): Geometry => {
  if (unit.geometry === null) throw new Error(`${unit.id} has no bore`);
  return unit.geometry;
};

const dimsOf = (part: TrayPart, wheel: boolean, nominalMm: number): TrayPart['dims'] => {
  switch (part.kind) {
    case 'cup':
    case 'plunger-seal':
      return { lengthMm: wheel ? 6 : 7 };
    case 'boot':
      return wheel
        ? { idMm: nominalMm < 20 ? 12 : 14, odMm: nominalMm > 23 ? 28 : 26 }
        : { idMm: 10, odMm: nominalMm > 23 ? 30 : nominalMm < 20 ? 26 : 28 };
    case 'grommet':
      return { idMm: 9, odMm: 18 };
    case 'circlip':
      return { thickMm: 1.2 };
    case 'square-seal':
      return { csMm: 3.6 };
    case 'dust-seal':
      return { odMm: Math.round(nominalMm + 6) };
    case 'piston':
    case 'plunger':
      return { diaMm: Math.round((nominalMm - 0.045) * 1000) / 1000 };
    case 'spring':
      return { lengthMm: wheel ? 12 : 41 };
    default:
      return {};
  }
};

/** A whole run of the rig's own model: it fills in steps of 0.1 s, and holds with two samples a second. */
export const simulate = (truth: Truth, random: Random): readonly RigSample[] => {
  const samples: RigSample[] = [];
  let [chamber, t] = [EMPTY, 0];
  const mlPerS = (truth.complianceMlPerBar * 80 + truth.airMl) / 9;
  const take = (phase: RigSample['phase'], dtS: number, pump: number): void => {
    t += dtS;
    chamber = step(chamber, truth, dtS, pump);
    samples.push({
      t: Math.round(t * 10) / 10,
      p: Math.round(Math.max(0, chamber.pBar + random.normal(0.02)) * 1000) / 1000,
      ml: Math.round(chamber.mlIn * 1e5) / 1e5,
      c: 21.4,
      phase,
    });
  };
  while (chamber.pBar < 80) take('fill', 0.1, mlPerS);
  for (let i = 0; i <= 240; i++) take('hold', 0.5, 0);
  return samples;
};

/** The demo is made of work that the shop would accept; anything refused is a fault in the scenario. */
const must = async <T, E>(result: Promise<Result<T, E>>): Promise<T> => {
  const settled = await result;
  if (!settled.ok) throw new Error(`the demo did something that is refused: ${JSON.stringify(settled.error)}`);
  return settled.value;
};
