'use server';

import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { ReadingDoor, TempC } from '@/core/bore/gauge-door';
import { MarkDoor } from '@/core/bore/judge-door';
import { SCHOOLS } from '@/core/bore/mark-verdict';
import { MATERIALS } from '@/core/bore/material';
import { WORKED_FAMILIES } from '@/core/family/family';
import { DimsDoor } from '@/core/kit/kit-door';
import type { Person } from '@/core/people/role';
import { may } from '@/core/people/role';
import { sayUntil } from '@/core/quantity/say-time';
import { fail, ok } from '@/core/result';
import { STATIONS } from '@/core/route/station';
import { CONDITIONS } from '@/core/strip/tray';
import { COMPLAINT_NAMES } from '@/core/unit/complaint';
import type { EventKind } from '@/core/unit/event-kind';
import { tagOf } from '@/core/unit/unit-record';
import type { Change } from '@/db/change-unit';
import { theDb } from '@/db/connection';
import { loadUnit } from '@/db/load-unit';
import { checkPin, signIn as signInPerson, signOut as signOutPerson } from '@/db/people';
import { bookIn } from '@/db/stations/book-in';
import { rulesInForce, saveGauging, saveJudgement } from '@/db/stations/bore';
import { putKitBack, setKitAside } from '@/db/stations/kit';
import { addPhoto } from '@/db/stations/photos';
import { endRun, startRun } from '@/db/stations/prove';
import { release, signForRelease } from '@/db/stations/release';
import { boreChanged, leave, reopen, signOff } from '@/db/stations/sign-off';
import { recordPart } from '@/db/stations/tray';
import { undoLast } from '@/db/stations/undo';
import { endWait, startWait } from '@/db/stations/waits';
import { theRig } from '@/ports/rig-run';
import { act } from './_server/act';

const Id = z.string().min(1).max(100);
const Note = z.string().max(1000);
/** What every change to a unit carries: the client's own id for it, the unit, and the version that the person was looking at. */
const Target = { eventId: Id, unitId: Id, version: z.number().int().nonnegative() };

const changeOf = (
  t: { readonly eventId: string; readonly unitId: string; readonly version: number | null },
  person: Person,
  at: number,
  kind: EventKind,
  note = '',
): Change => ({
  eventId: t.eventId,
  unitId: t.unitId,
  version: t.version,
  person,
  at,
  kind,
  note,
});

const SignIn = z.object({ personId: Id, pin: z.string().min(1).max(64) });

/** Signs in by name and PIN; the only way in. */
export async function signInAction(input: unknown): Promise<{ readonly error: string }> {
  const parsed = SignIn.safeParse(input);
  if (!parsed.success) return { error: 'Pick your name and enter your PIN.' };
  const now = Date.now();
  const result = await signInPerson(await theDb(), parsed.data.personId, parsed.data.pin, await headers(), now);
  if (result.ok) redirect('/');
  return {
    error: result.error.code === 'locked' ? `Too many wrong PINs. Locked ${sayUntil(result.error.until, now)}.` : 'That is not the PIN.',
  };
}

export async function signOutAction(): Promise<void> {
  await signOutPerson(await headers());
  redirect('/sign-in');
}

const BookIn = z.object({
  unitId: Id,
  customer: z.string().trim().min(1, 'who brings it?').max(120),
  phone: z.string().trim().max(40),
  machine: z.string().trim().min(1, 'what is it off?').max(120),
  family: z.enum(WORKED_FAMILIES),
  position: z.string().trim().max(60),
  nominalMm: z.number('enter a bore, as 22.2 or 7/8').min(8, 'a bore is 8 to 80 mm').max(80, 'a bore is 8 to 80 mm'),
  material: z.enum(MATERIALS),
  complaints: z.array(z.enum(COMPLAINT_NAMES)).max(12),
  complaintText: z.string().trim().max(500),
  identityMarks: z.string().trim().max(200),
  promisedAt: z.number('when is it promised?').int(),
});

export const bookInAction = act('book-in', BookIn, async (b, { db, person, now }) => ok(await bookIn(db, person, now, b)));

const Part = z.object({
  ...Target,
  partId: Id,
  news: z.strictObject({
    found: z.enum(['present', 'absent']).optional(),
    condition: z.enum(CONDITIONS).nullable().optional(),
    faces: z.enum(['open', 'blind']).nullable().optional(),
    dims: DimsDoor.optional(),
    note: z.string().max(500).optional(),
    fate: z.enum(['refitted', 'replaced', 'binned']).nullable().optional(),
    goesIn: z
      .strictObject({ piece: z.enum(['same', 'new']), faces: z.enum(['open', 'blind']).nullable() })
      .nullable()
      .optional(),
  }),
});

export const recordPartAction = act('bench', Part, (i, { db, person, now }) =>
  recordPart(db, changeOf(i, person, now, i.news.goesIn == null ? 'part-recorded' : 'part-in'), i.partId, i.news),
);

const SignOffDoor = z.object({
  ...Target,
  station: z.enum(STATIONS),
  note: Note,
  override: z.string().trim().min(3, 'say why').max(500).nullable(),
});

export const signOffAction = act('bench', SignOffDoor, (i, { db, person, now }) =>
  signOff(db, changeOf(i, person, now, i.override === null ? 'signed-off' : 'overridden', i.station), i),
);

const Gauging = z.object({
  ...Target,
  gaugingId: Id,
  readings: z.array(ReadingDoor).min(1, 'nothing gauged yet').max(2000),
  bodyTempC: TempC.nullable(),
  gaugeTempC: TempC.nullable(),
});

export const saveGaugingAction = act('bench', Gauging, (i, { db, person, now }) =>
  saveGauging(db, changeOf(i, person, now, 'gauged', `${i.readings.length} readings`), i),
);

const MarkRecordDoor = MarkDoor.safeExtend({ name: z.string().min(1).max(20), note: Note });
const JudgementDoor = z.object({
  ...Target,
  verdictId: Id,
  marks: z.array(MarkRecordDoor).max(1000),
  school: z.enum(SCHOOLS).nullable(),
  wallMm: z.number().min(0).max(500).nullable(),
});

export const saveJudgementAction = act('bench', JudgementDoor, (i, { db, person, now }) =>
  saveJudgement(db, changeOf(i, person, now, 'judged'), i),
);

const BoreChangedDoor = z.object({ ...Target, station: z.enum(['hone', 'sleeve']), note: Note, material: z.enum(MATERIALS).nullable() });

export const boreChangedAction = act('bench', BoreChangedDoor, (i, { db, person, now }) =>
  boreChanged(db, changeOf(i, person, now, 'bore-changed', i.note), i.station, i.note, i.material),
);

export const setKitAsideAction = act('kit', z.object({ ...Target, kitId: Id }), (i, { db, person, now }) =>
  setKitAside(db, changeOf(i, person, now, 'kit-set-aside'), i.kitId),
);
export const putKitBackAction = act('kit', z.object({ ...Target, moveId: Id }), (i, { db, person, now }) =>
  putKitBack(db, changeOf(i, person, now, 'kit-put-back'), i.moveId),
);

const RunDoor = z.object({
  ...Target,
  targetBar: z.number().min(1).max(200),
  holdS: z.number().min(15).max(1800),
  shield: z.literal(true, 'shut the shield first'),
});

/** Starts a hold on the rig. The run belongs to this server from here on: its end is stored whoever looks. */
export const startRunAction = act('bench', RunDoor, async (i, { db, person, now }) => {
  const rig = theRig();
  if (rig.busy) return fail({ code: 'refused', reasons: [`The rig is busy with ${rig.current?.order.tag}.`] });
  const record = await loadUnit(db, i.unitId);
  if (record === undefined) return fail({ code: 'no-such-unit' });
  // A run only adds to the unit; whether it may start is asked again when it is stored.
  const begun = await startRun(db, changeOf({ ...i, version: null }, person, now, 'run-started'), {
    runId: i.eventId,
    targetBar: i.targetBar,
    holdS: i.holdS,
  });
  if (!begun.ok) return begun;
  const rules = await rulesInForce(db);
  const order = { runId: i.eventId, unitId: i.unitId, tag: tagOf(record.unit), by: person.name, targetBar: i.targetBar, holdS: i.holdS };
  const started = rig.start(order, rules.rules, (run) => {
    const change = changeOf({ eventId: `${i.eventId}-end`, unitId: i.unitId, version: null }, person, Date.now(), 'run-ended', run.because);
    void endRun(db, change, {
      runId: i.eventId,
      rig: run.rig,
      state: run.state as 'finished',
      because: run.because,
      samples: run.samples,
      analysis: run.analysis,
    }).catch(console.error);
  });
  if (started.ok) return begun;
  const because = `the rig was busy with ${started.error.tag}`;
  const change = changeOf({ eventId: `${i.eventId}-end`, unitId: i.unitId, version: null }, person, now, 'run-ended', because);
  await endRun(db, change, { runId: i.eventId, rig: '', state: 'broken', because, samples: [], analysis: null });
  return fail({ code: 'refused', reasons: [`The rig is busy with ${started.error.tag}.`] });
});

/** Anyone may let the pressure down. */
export const abortRunAction = act('see', z.object({}), async (_, { person }) => {
  theRig().abort(`let down by ${person.name}`);
  return ok(null);
});

const SignDoor = z.object({ ...Target, signerId: Id, pin: z.string().min(1).max(64) });

/** One signature under a release. Whoever signs enters their PIN, also when they are signed in. */
export const signAction = act('bench', SignDoor, async (i, { db, person, now }) => {
  const signer = await checkPin(db, i.signerId, i.pin, now);
  if (!signer.ok)
    return fail({
      code: 'refused',
      reasons: [
        signer.error.code === 'locked' ? `Too many wrong PINs. Locked ${sayUntil(signer.error.until, now)}.` : 'That is not the PIN.',
      ],
    });
  const record = await loadUnit(db, i.unitId);
  const doing = (record?.signatures.length ?? 0) === 0 ? 'sign-first' : 'sign-second';
  if (!may(signer.value.role, doing))
    return fail({
      code: 'refused',
      reasons: [
        doing === 'sign-first' ? 'The first signature is a technician’s or a lead’s.' : 'The second signature is a lead’s or the owner’s.',
      ],
    });
  return signForRelease(db, changeOf(i, person, now, 'signed', signer.value.name), signer.value);
});

export const releaseAction = act('bench', z.object(Target), (i, { db, person, now }) => release(db, changeOf(i, person, now, 'released')));
export const leaveAction = act(
  'exit',
  z.object({ ...Target, exit: z.enum(['scrapped', 'returned']), reason: z.string().trim().min(3, 'say why').max(500) }),
  (i, { db, person, now }) => leave(db, changeOf(i, person, now, 'exited', i.reason), i.exit),
);
export const reopenAction = act(
  'reopen',
  z.object({ ...Target, station: z.enum(STATIONS), reason: z.string().trim().min(3, 'say why').max(500) }),
  (i, { db, person, now }) => reopen(db, changeOf(i, person, now, 'reopened', `${i.station}: ${i.reason}`), i.station),
);
export const undoAction = act('see', z.object(Target), (i, { db, person, now }) => undoLast(db, changeOf(i, person, now, 'undone')));

export const startWaitAction = act(
  'bench',
  z.object({
    ...Target,
    label: z.string().trim().min(1, 'what for?').max(80),
    minutes: z
      .number()
      .min(1)
      .max(60 * 24 * 60),
  }),
  (i, { db, person, now }) => startWait(db, changeOf({ ...i, version: null }, person, now, 'wait-started', i.label), i.label, i.minutes),
);
export const endWaitAction = act('bench', z.object({ ...Target, timerId: Id }), (i, { db, person, now }) =>
  endWait(db, changeOf(i, person, now, 'wait-ended'), i.timerId),
);

const LARGEST_PHOTO_BYTES = 10 * 1024 * 1024;
const PhotoDoor = z
  .instanceof(FormData)
  .transform((form) => ({
    eventId: form.get('eventId'),
    unitId: form.get('unitId'),
    caption: form.get('caption') ?? '',
    file: form.get('file'),
    partId: form.get('partId'),
  }))
  .pipe(
    z.object({
      eventId: Id,
      unitId: Id,
      caption: z.string().max(120),
      file: z.instanceof(File).refine((f) => f.size > 0 && f.size <= LARGEST_PHOTO_BYTES, 'a photo of at most 10 MB'),
      partId: Id.nullable(),
    }),
  );

export const addPhotoAction = act('book-in', PhotoDoor, async (i, { db, person, now }) =>
  addPhoto(db, changeOf({ ...i, version: null }, person, now, 'photo-added', i.caption), {
    caption: i.caption,
    bytes: new Uint8Array(await i.file.arrayBuffer()),
    partId: i.partId,
  }),
);
