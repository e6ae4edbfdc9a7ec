import { beforeAll, describe, expect, test, vi } from 'vitest';
import * as backup from '@/app/actions/backup';
import * as bill from '@/app/actions/bill';
import * as bleed from '@/app/actions/bleed';
import * as bookIn from '@/app/actions/book-in';
import * as closeUp from '@/app/actions/close-up';
import * as customers from '@/app/actions/customers';
import * as day from '@/app/actions/day';
import * as family from '@/app/actions/family';
import * as finish from '@/app/actions/finish';
import * as gauge from '@/app/actions/gauge';
import * as hone from '@/app/actions/hone';
import * as identify from '@/app/actions/identify';
import * as judge from '@/app/actions/judge';
import * as kit from '@/app/actions/kit';
import * as messages from '@/app/actions/messages';
import * as open from '@/app/actions/open';
import * as people from '@/app/actions/people';
import * as practice from '@/app/actions/practice';
import * as practiceJob from '@/app/actions/practice-job';
import * as prices from '@/app/actions/prices';
import * as programme from '@/app/actions/programme';
import * as prove from '@/app/actions/prove';
import * as quote from '@/app/actions/quote';
import * as release from '@/app/actions/release';
import * as rules from '@/app/actions/rules';
import * as set from '@/app/actions/set';
import * as shopActions from '@/app/actions/shop';
import * as sleeve from '@/app/actions/sleeve';
import * as staff from '@/app/actions/staff';
import * as store from '@/app/actions/store';
import * as strip from '@/app/actions/strip';
import * as tokens from '@/app/actions/tokens';
import * as unit from '@/app/actions/unit';
import type { BookIn, Find } from '@/core/book-in/book-in-schemas';
import { STANDARD_LIKELIHOODS } from '@/core/book-in/likelihoods';
import { masterSingle } from '@/core/family/anatomy/master-single';
import type { Drawing } from '@/core/family/family';
import { type Doing, may, type Person, ROLES } from '@/core/people/role';
import { theAuth } from '@/db/people/auth';
import { openShop, PEOPLE, PINS, type Shop } from '../server/shop';

/** The request's headers as the action sees them; only these stand in for Next, everything below is the real thing. */
let sent = new Headers();
vi.mock('next/headers', () => ({ headers: async () => sent, cookies: async () => ({ set: () => undefined }) }));
vi.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const actions = {
  ...backup,
  ...bill,
  ...bleed,
  ...bookIn,
  ...closeUp,
  ...customers,
  ...day,
  ...family,
  ...kit,
  ...messages,
  ...open,
  ...people,
  ...practice,
  ...practiceJob,
  ...prices,
  ...programme,
  ...prove,
  ...quote,
  ...release,
  ...rules,
  ...finish,
  ...gauge,
  ...hone,
  ...identify,
  ...judge,
  ...set,
  ...shopActions,
  ...sleeve,
  ...staff,
  ...store,
  ...strip,
  ...tokens,
  ...unit,
};

/** Actions of the door itself, which ask for a PIN, a code, a key or an address in place of a role. */
const AT_THE_DOOR = ['signInAction', 'signOutAction', 'choosePinAction', 'openShopAction', 'replyToQuoteAction'] as const;
/** What each other action asks its caller to be allowed; a new action must be entered here. */
const ASKS: { readonly [A in Exclude<keyof typeof actions, (typeof AT_THE_DOOR)[number]>]: Doing } = {
  bookInAction: 'book-in',
  correctAction: 'correct',
  recordPartAction: 'bench',
  recordRestAction: 'bench',
  signOffAction: 'bench',
  saveGaugingAction: 'bench',
  saveJudgementAction: 'bench',
  boreCutAction: 'bench',
  makersLimitAction: 'rules',
  layPhotoAction: 'bench',
  sendOutAction: 'bench',
  backFromSleevingAction: 'bench',
  askCustomerAction: 'book-in',
  answerCustomerAction: 'book-in',
  makeQuoteAction: 'offer',
  makeBillAction: 'bill',
  creditBillAction: 'bill',
  payBillAction: 'bill',
  tellCustomerAction: 'book-in',
  editCustomerAction: 'correct',
  mergeCustomersAction: 'correct',
  eraseCustomerAction: 'shop',
  handleMessageAction: 'book-in',
  answerQuoteAction: 'book-in',
  addInstrumentAction: 'rules',
  checkRingAction: 'bench',
  moveInstrumentAction: 'rules',
  retireInstrumentAction: 'rules',
  newTokenAction: 'rules',
  logPassAction: 'bench',
  overruleAction: 'override',
  savePriceAction: 'prices',
  dropPriceAction: 'prices',
  previewRulesAction: 'rules',
  saveRulesAction: 'rules',
  setAsideAction: 'kit',
  putBackAction: 'kit',
  spoilPieceAction: 'bench',
  openBagAction: 'kit',
  measureNeedAction: 'kit',
  takeSetAction: 'kit',
  reuseOldAction: 'kit',
  keepSurplusAction: 'kit',
  identifyAction: 'book-in',
  receiveAction: 'kit',
  correctStockAction: 'kit',
  faultLotAction: 'kit',
  orderAction: 'kit',
  reorderAction: 'kit',
  undoImportAction: 'files',
  saveArticleAction: 'kit',
  saveFitmentAction: 'kit',
  startRunAction: 'bench',
  holdLongerAction: 'bench',
  abortRunAction: 'see',
  storeRunAction: 'bench',
  noteSeenAction: 'bench',
  startStandingAction: 'bench',
  reopenAfterFailAction: 'bench',
  queueForRigAction: 'bench',
  leaveRigQueueAction: 'bench',
  saveProgrammeAction: 'rules',
  signAction: 'bench',
  releaseAction: 'bench',
  endKeyAction: 'rules',
  leaveAction: 'exit',
  reopenAction: 'reopen',
  undoAction: 'see',
  sendToBranchAction: 'book-in',
  receiveAtBranchAction: 'book-in',
  startWaitAction: 'bench',
  endWaitAction: 'bench',
  ringWaitAction: 'see',
  calendarKeyAction: 'see',
  addPartAction: 'bench',
  dropPartAction: 'bench',
  tellStepAction: 'bench',
  treatAction: 'bench',
  noteAtBenchAction: 'bench',
  saveGapAction: 'bench',
  saveVacuumAction: 'bench',
  putOnFinishAction: 'bench',
  findCuredAction: 'bench',
  pinAction: 'plan',
  unpinAction: 'plan',
  offerPlanAction: 'plan',
  answerExerciseAction: 'see',
  beginJobAction: 'see',
  endJobAction: 'see',
  measureAction: 'bench',
  tryStrokesAction: 'bench',
  saveAsksAction: 'teach',
  signSkillAction: 'teach',
  endSkillAction: 'teach',
  standByAction: 'kit',
  makeCaseAction: 'teach',
  endCaseAction: 'teach',
  answerCaseAction: 'see',
  keepSystemAction: 'machine',
  dropSystemAction: 'machine',
  saveBleedAction: 'machine',
  keepDraftAction: 'see-shop',
  dropDraftAction: 'see-shop',
  sayTimeAction: 'rules',
  noteTorqueAction: 'bench',
  findForgottenAction: 'bench',
  findAction: 'book-in',
  saveCausesAction: 'rules',
  saveVariantAction: 'rules',
  saveShopAction: 'shop',
  startBackupAction: 'shop',
  makeTokenAction: 'shop',
  withdrawTokenAction: 'shop',
  addMemberAction: 'shop',
  changeMemberAction: 'shop',
  giveCodeAction: 'shop',
  noteLeftAction: 'shop',
  takeBackAction: 'shop',
  endSessionsAction: 'shop',
  endOwnSessionAction: 'see',
};

let shop: Shop;
const cookies = new Map<string, string>();
beforeAll(async () => {
  shop = await openShop();
  for (const { id } of Object.values(PEOPLE)) {
    const body = { username: id, password: PINS[id] as string };
    const { headers } = await (await theAuth()).api.signInUsername({ body, returnHeaders: true });
    cookies.set(
      id,
      headers
        .getSetCookie()
        .map((c) => c.split(';')[0])
        .join('; '),
    );
  }
});

const as = (person: Person | undefined): void => {
  sent = person === undefined ? new Headers() : new Headers({ cookie: cookies.get(person.id) ?? '' });
};
const codeOf = async (name: keyof typeof ASKS, input: unknown): Promise<string> => {
  const result = await actions[name](input as never);
  return result.ok ? 'done' : result.error.code;
};

describe('every action, as nobody and in every role', () => {
  const names = Object.keys(ASKS) as (keyof typeof ASKS)[];

  test('the list is whole: every file of actions, and every action of each', () => {
    const files = import.meta.glob('../../src/app/actions/*.ts', { eager: true }) as Record<string, Record<string, unknown>>;
    expect(
      Object.values(files)
        .flatMap((file) => Object.keys(file))
        .sort(),
    ).toEqual(Object.keys(actions).sort());
    expect(Object.keys(actions).sort()).toEqual([...names, ...AT_THE_DOOR].sort());
  });

  test.each(names)('%s', async (name) => {
    as(undefined);
    expect(await codeOf(name, {})).toBe('signed-out');
    for (const role of ROLES) {
      const person = Object.values(PEOPLE).find((p) => p.role === role) as Person;
      as(person);
      // An unsound input: whoever may do this gets past the role, to be told what is wrong with it.
      const code = await codeOf(name, name === 'abortRunAction' ? {} : 'rubbish');
      expect([role, code]).toEqual([role, may(role, ASKS[name]) ? (name === 'abortRunAction' ? 'done' : 'invalid') : 'forbidden']);
    }
  });
});

describe('what an action checks beyond the role', () => {
  const target = async (unitId: string) => ({ eventId: crypto.randomUUID(), unitId, version: (await shop.record(unitId)).unit.version });

  test('everything wrong with a booking is said at once', async () => {
    as(PEOPLE.counter);
    const hostile = { unitId: 'u', customer: ' ', phone: '', machine: '', family: 'sofa' as 'slave', nominalMm: 3 };
    const result = await actions.bookInAction(hostile as BookIn);
    const problems = result.ok || result.error.code !== 'invalid' ? [] : result.error.problems.map((p) => p.path);
    expect(problems).toEqual(expect.arrayContaining(['customer', 'machine', 'family', 'nominalMm', 'material', 'promisedAt']));
  });

  describe('a booking', () => {
    const booking = (more: object) => ({
      unitId: crypto.randomUUID(),
      customer: 'Pendle Quarry',
      phone: '',
      machine: 'Quarry dumper',
      family: 'master-single',
      position: '',
      nominalMm: 20.6375,
      material: 'cast-iron',
      complaints: ['drags'],
      complaintText: '',
      identityMarks: '',
      promisedAt: 1_800_000_000_000,
      ...more,
    });
    const book = async (more: object) => {
      as(PEOPLE.counter);
      const entry = booking(more);
      const result = await actions.bookInAction(entry as BookIn);
      return { result, unitId: entry.unitId };
    };

    test('of a cylinder needs its bore; of what has none it does not', async () => {
      const { result } = await book({ nominalMm: null });
      expect(result).toMatchObject({
        ok: false,
        error: { code: 'invalid', problems: [{ path: 'nominalMm', message: 'enter a bore, as 22.2 or 7/8' }] },
      });
      const { result: booster, unitId } = await book({ family: 'booster', nominalMm: null });
      expect(booster.ok).toBe(true);
      expect((await shop.record(unitId)).unit.geometry).toBeNull();
    });

    test('keeps the tests that were made, and only ones that there are', async () => {
      const { unitId } = await book({ tests: [{ name: 'slack-master', answer: 'yes' }] });
      expect((await shop.record(unitId)).findings.map((f) => [f.name, f.answer])).toEqual([['slack-master', 'yes']]);
      const { result } = await book({ tests: [{ name: 'taste-it', answer: 'yes' }] });
      expect(result).toMatchObject({ ok: false, error: { code: 'invalid', problems: [{ path: 'tests[0].name' }] } });
    });

    test('of a variant asks for one that is there, and of that family', async () => {
      as(PEOPLE.lead);
      const { slots, drawing } = masterSingle;
      const variant = { base: 'master-single' as const, label: 'Pier master', slots: slots.filter((s) => s.id !== 'protector'), drawing };
      expect((await actions.saveVariantAction({ id: 'pier', replaces: null, variant })).ok).toBe(true);
      const { unitId } = await book({ variantId: 'pier' });
      expect((await shop.record(unitId)).tray.map((p) => p.slotId)).not.toContain('protector');
      for (const wrong of [{ variantId: 'gone' }, { variantId: 'pier', family: 'slave' }])
        expect((await book(wrong)).result).toEqual({
          ok: false,
          error: { code: 'refused', reasons: ['That variant is not there any more: choose the family again.'] },
        });
    });
  });

  test('a variant that could not work is refused on the server too, with every reason', async () => {
    as(PEOPLE.lead);
    const { slots, drawing } = masterSingle;
    const variant = { base: 'master-single' as const, label: 'No cups', slots: slots.filter((s) => s.kind !== 'cup'), drawing };
    const result = await actions.saveVariantAction({ id: 'none', replaces: null, variant });
    const said = !result.ok && result.error.code === 'refused' ? result.error.reasons : [];
    expect(said).toEqual(
      expect.arrayContaining([
        'Nothing seals between outside and feed: one would run into the other.',
        'Nothing seals between feed and pressure: one would run into the other.',
      ]),
    );
    const unsound = await actions.saveVariantAction({
      id: 'x',
      replaces: null,
      variant: { ...variant, label: '', drawing: { ...(drawing as Drawing), lengthMm: -1 } },
    });
    expect(!unsound.ok && unsound.error.code === 'invalid' ? unsound.error.problems.map((p) => p.path) : []).toEqual([
      'variant.label',
      'variant.drawing.lengthMm',
    ]);
  });

  test('the odds take a reason and no chance of nought; who was not quick enough is told', async () => {
    as(PEOPLE.owner);
    const save = (more: object) =>
      actions.saveCausesAction({ after: 0, note: 'as we see it here', likelihoods: STANDARD_LIKELIHOODS, ...more });
    const air = { ...STANDARD_LIKELIHOODS.air, prior: 0 };
    const wrong = await save({ note: '', likelihoods: { ...STANDARD_LIKELIHOODS, air } });
    expect(!wrong.ok && wrong.error.code === 'invalid' ? wrong.error.problems.map((p) => p.path) : []).toEqual([
      'note',
      'likelihoods.air.prior',
    ]);
    expect(await save({})).toEqual({ ok: true, value: { version: 1 } });
    expect(await save({})).toMatchObject({ ok: false, error: { code: 'refused' } });
  });

  test('a cause and a test are told apart: one is not taken for the other', async () => {
    const unitId = await shop.book();
    as(PEOPLE.counter);
    const say = async (about: string, name: string) =>
      actions.findAction({ ...(await target(unitId)), about, name, answer: 'yes' } as Find);
    expect((await say('cause', 'air')).ok).toBe(true);
    expect((await say('test', 'pump-up')).ok).toBe(true);
    for (const [about, name] of [
      ['cause', 'pump-up'],
      ['test', 'air'],
      ['guess', 'air'],
    ] as const)
      expect(await say(about, name)).toMatchObject({ ok: false, error: { code: 'invalid' } });
    expect((await shop.record(unitId)).findings).toHaveLength(2);
  });

  test('a technician’s override is refused on the server', async () => {
    const unitId = await shop.book();
    as(PEOPLE.tech);
    const result = await actions.signOffAction({ ...(await target(unitId)), station: 'strip', note: '', override: 'in a hurry' });
    expect(result).toEqual({ ok: false, error: { code: 'refused', reasons: ['Only a lead may override a condition.'] } });
  });

  test('a signature needs the signer’s own PIN, and the right role for its place', async () => {
    const unitId = await shop.at('release');
    as(PEOPLE.tech);
    const sign = async (signerId: string, pin: string) => {
      const result = await actions.signAction({ ...(await target(unitId)), signerId, pin });
      return result.ok ? 'signed' : result.error.code === 'refused' ? result.error.reasons[0] : result.error.code;
    };
    expect(await sign('tess', '9999')).toBe('That is not the PIN.');
    expect(await sign('oona', '555555')).toBe('The first signature is a technician’s or a lead’s.');
    expect(await sign('tess', '1111')).toBe('signed');
    expect(await sign('odo', '2222')).toBe('The second signature is a lead’s or the owner’s.');
    expect(await sign('tess', '1111')).toMatch(/second signature is a lead’s/);
    expect(await sign('oona', '555555')).toBe('signed');
    expect((await actions.releaseAction(await target(unitId))).ok).toBe(true);
  });

  test('the shield must be shut before pressure', async () => {
    as(PEOPLE.tech);
    const run = { ...(await target(await shop.book())), stepId: 'hold', holder: 'page', shield: false };
    expect(await actions.startRunAction(run)).toMatchObject({ ok: false, error: { code: 'invalid' } });
  });
});
