import { beforeAll, describe, expect, test, vi } from 'vitest';
import * as doors from '@/app/actions';
import { type Doing, may, type Person, ROLES } from '@/core/people/role';
import { theAuth } from '@/db/auth';
import { openShop, PEOPLE, PINS, type Shop } from './shop';

/** The request's headers as the action sees them; only these stand in for Next, everything below is the real thing. */
let sent = new Headers();
vi.mock('next/headers', () => ({ headers: async () => sent, cookies: async () => ({ set: () => undefined }) }));
vi.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const actions = { ...doors };

/** What each action asks its caller to be allowed; a new action must be entered here. */
const ASKS: { readonly [A in Exclude<keyof typeof actions, 'signInAction' | 'signOutAction'>]: Doing } = {
  bookInAction: 'book-in',
  recordPartAction: 'bench',
  signOffAction: 'bench',
  saveGaugingAction: 'bench',
  saveJudgementAction: 'bench',
  boreChangedAction: 'bench',
  setKitAsideAction: 'kit',
  putKitBackAction: 'kit',
  startRunAction: 'bench',
  abortRunAction: 'see',
  signAction: 'bench',
  releaseAction: 'bench',
  leaveAction: 'exit',
  reopenAction: 'reopen',
  undoAction: 'see',
  startWaitAction: 'bench',
  endWaitAction: 'bench',
  addPhotoAction: 'book-in',
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

  test('the list is whole', () => {
    expect(Object.keys(actions).sort()).toEqual([...names, 'signInAction', 'signOutAction'].sort());
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
    const result = await actions.bookInAction({ unitId: 'u', customer: ' ', phone: '', machine: '', family: 'sofa', nominalMm: 3 });
    const problems = result.ok || result.error.code !== 'invalid' ? [] : result.error.problems.map((p) => p.path);
    expect(problems).toEqual(expect.arrayContaining(['customer', 'machine', 'family', 'nominalMm', 'material', 'promisedAt']));
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
    const run = { ...(await target(await shop.book())), targetBar: 80, holdS: 60, shield: false };
    expect(await actions.startRunAction(run)).toMatchObject({ ok: false, error: { code: 'invalid' } });
  });

  test('a photo must be a picture', async () => {
    const unitId = await shop.book();
    as(PEOPLE.counter);
    const form = new FormData();
    for (const [name, value] of Object.entries({ eventId: 'p1', unitId, caption: '' })) form.set(name, value);
    form.set('file', new File(['<svg onload="x()"/> not really'], 'a.png'));
    const result = await actions.addPhotoAction(form);
    expect(result).toMatchObject({ ok: false, error: { code: 'refused' } });
    expect((await shop.record(unitId)).photos).toEqual([]);
  });
});
