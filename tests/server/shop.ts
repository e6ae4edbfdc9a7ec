import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll } from 'vitest';
import type { Person } from '@/core/people/role';
import type { EventKind } from '@/core/unit/event-kind';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type BookIn, bookIn } from '@/db/book-in/book-in';
import type { Change } from '@/db/engine/change-unit';
import { type Db, migrateDb, theDb } from '@/db/engine/connection';
import { loadUnit } from '@/db/engine/load-unit';
import { addPerson } from '@/db/people/people';
import { deliverRules } from '@/db/rules/deliver';
import { asArticle, KITS } from '../../demo/kits';
import { insertArticle } from '../../demo/shop-setup';
import { seeded } from '../../devices/hand/random';
import { Work } from '../../devices/hand/work';
import { SOUND } from '../../devices/rig/chamber';

export const START = Date.UTC(2026, 4, 4, 8);
export const PEOPLE = {
  tech: { id: 'tess', name: 'Tess', role: 'technician', bench: 'Bench 1' },
  other: { id: 'odo', name: 'Odo', role: 'technician', bench: 'Bench 2' },
  lead: { id: 'lena', name: 'Lena', role: 'lead', bench: null },
  counter: { id: 'cas', name: 'Cas', role: 'counter', bench: null },
  owner: { id: 'oona', name: 'Oona', role: 'owner', bench: null },
} as const satisfies Record<string, Person>;
export const PINS: Readonly<Record<string, string>> = { tess: '1111', odo: '2222', lena: '333333', cas: '4444', oona: '555555' };

/** A data folder of this test file's own; photos and the database go there, and it goes when the file is done. Files share a process: what the file before held open is let go. */
export const ownFolder = (): string => {
  globalThis.eddrinDb = globalThis.eddrinAuth = globalThis.eddrinGauges = globalThis.eddrinRig = undefined;
  const folder = mkdtempSync(join(tmpdir(), 'eddrin-'));
  process.env.EDDRIN_DATA = folder;
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  return folder;
};

/** A shop with its people, rules and the demo's kits, in a real database. @param where a file of its folder, or the address of a server */
export async function openShop(where = 'shop.db'): Promise<Shop> {
  const folder = ownFolder();
  process.env.DATABASE_URL = where.includes('://') ? where : `file:${join(folder, where)}`;
  const db = await theDb();
  await migrateDb(db);
  for (const person of Object.values(PEOPLE)) await addPerson(db, { ...person, pin: PINS[person.id] as string }, START);
  await deliverRules(db, START);
  // Enough of the kits that most of the units here take.
  for (const kit of KITS) {
    const [article, lots] = asArticle(['K-131', 'K-118'].includes(kit.number) ? { ...kit, stock: 60 } : kit, START);
    await insertArticle(db, article, lots, START, PEOPLE.counter.id);
  }
  return new Shop(db, folder);
}

/** Stations that a test's unit can stand at, in the order of the route. */
const WORKED_TO = ['clean', 'gauge', 'judge', 'kit', 'close-up', 'prove', 'release'] as const;
export type WorkedTo = (typeof WORKED_TO)[number];

let serial = 0;

export class Shop {
  private readonly workers = new Map<string, Work>();

  constructor(
    readonly db: Db,
    readonly folder: string,
  ) {}

  /** Books a unit in, as the counter does. */
  async book(more: Partial<BookIn> = {}, person: Person = PEOPLE.counter): Promise<string> {
    serial += 1;
    const unitId = more.unitId ?? `unit-${serial}`;
    await bookIn(this.db, person, START, {
      unitId,
      customer: 'Aldwater Orchards',
      phone: '014',
      machine: 'Orchard tractor',
      family: 'wheel-double',
      position: 'rear left',
      nominalMm: 22.225,
      material: 'cast-iron',
      complaints: ['wet-boot'],
      complaintText: '',
      identityMarks: 'DN 22',
      promisedAt: START + 86_400_000,
      ...more,
    });
    return unitId;
  }

  /** Books a unit in and works it up to a station by the same actions that the screens use. */
  async at(station: WorkedTo, more: Partial<BookIn> = {}): Promise<string> {
    const unitId = await this.book(more);
    const work = this.worker(unitId);
    const past = (name: WorkedTo): boolean => WORKED_TO.indexOf(station) > WORKED_TO.indexOf(name);
    await work.strip();
    if (past('clean')) await work.clean();
    if (past('gauge')) await work.gauge();
    if (past('judge')) await work.judge('sound');
    if (past('kit')) await work.kit();
    if (past('close-up')) await work.closeUp();
    if (past('close-up')) await work.set();
    if (past('prove')) await work.prove(SOUND);
    return unitId;
  }

  /** Someone who works a unit along, by the same actions that the screens use. */
  worker(unitId: string): Work {
    const work = this.workers.get(unitId) ?? new Work(this.db, unitId, START, seeded(7), { bench: PEOPLE.tech, lead: PEOPLE.lead });
    this.workers.set(unitId, work);
    return work;
  }

  async record(unitId: string): Promise<UnitRecord> {
    const record = await loadUnit(this.db, unitId);
    if (record === undefined) throw new Error(`no unit ${unitId}`);
    return record;
  }

  /** A change as a page sends it, from the version that it shows now. */
  async change(unitId: string, kind: EventKind, person: Person = PEOPLE.tech, more: Partial<Change> = {}): Promise<Change> {
    serial += 1;
    const eventId = `event-${serial}`;
    const { version } = (await this.record(unitId)).unit;
    return { eventId, unitId, person, at: START + serial * 60_000, version, kind, note: '', digest: '', ...more };
  }
}
