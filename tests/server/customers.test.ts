import { beforeAll, describe, expect, test } from 'vitest';
import { ERASED } from '@/core/customer/customer';
import type { Result } from '@/core/result';
import { answerCustomer, askCustomer } from '@/db/customer/approval';
import { customerFile } from '@/db/customer/customer-file';
import {
  alikeTo,
  type CustomerError,
  customerOf,
  editCustomer,
  eraseCustomer,
  findCustomers,
  mergeCustomers,
  pageOf,
} from '@/db/customer/customers';
import { messagesOf } from '@/db/customer/outbox';
import { unitOfTag } from '@/db/engine/cached-units';
import { findUnits } from '@/db/rack/rack';
import { verifyCertificate } from '@/db/release/release';
import { certificates } from '@/db/tables';
import { historyOf } from '@/db/unit/history';
import { leave } from '@/db/unit/sign-off';
import { openShop, PEOPLE, type Shop, START } from './shop';

// Whoever brings units.

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const by = { personId: PEOPLE.counter.id, at: START };
const code = (r: Result<unknown, CustomerError>): string => (r.ok ? 'ok' : r.error.code);
const ofUnit = async (unitId: string) => (await shop.record(unitId)).job.customerId;
const names = async (text: string) => (await findCustomers(shop.db, text)).found.map((c) => c.name);

test('are found by any part of name, telephone and mail, also those who have brought nothing yet, and no more once they are gone', async () => {
  const id = await ofUnit(await shop.book({ customer: 'Windmill Bakery', phone: '0664 1234' }));
  expect(await names('mill bak')).toEqual(['Windmill Bakery']);
  expect(await names('1234')).toEqual(['Windmill Bakery']);
  expect(
    code(
      await editCustomer(shop.db, by, id, null, { name: 'Windmill Bakery', phone: '0664 1234', mail: 'oven@mill.example', address: '' }),
    ),
  ).toBe('ok');
  expect(await names('oven@mill')).toEqual(['Windmill Bakery']);
  expect(await names('wi ba')).toEqual(['Windmill Bakery']);
  expect(await names('bakers')).toEqual([]);
  expect(await names('"-* (')).toEqual([]);
});

describe('a customer who is changed', () => {
  test('is changed at every unit at once, also one that was looked at before, and is found by the new name', async () => {
    const unitId = await shop.book({ customer: 'Hollow Farm', phone: '0111' });
    const { unit } = await shop.record(unitId);
    await unitOfTag(shop.db, unit.tagNo);
    const id = await ofUnit(unitId);
    const is = { name: 'Hollow Farm and Sons', phone: '0111', mail: 'hollow@farm.example', address: 'The Hollow' };
    expect(code(await editCustomer(shop.db, by, id, null, is))).toBe('ok');
    expect((await unitOfTag(shop.db, unit.tagNo))?.job).toMatchObject({ customer: 'Hollow Farm and Sons', mail: 'hollow@farm.example' });
    expect((await findUnits(shop.db, 'farm sons')).units.map((u) => u.id)).toEqual([unitId]);
    expect((await pageOf(shop.db, id, START)).history.map((e) => [e.by, e.what])).toEqual([
      ['Cas', 'name: Hollow Farm → Hollow Farm and Sons; mail: nothing → hollow@farm.example; address: nothing → The Hollow'],
    ]);
  });

  test('is not changed over somebody else’s change, nor into another who is there', async () => {
    const id = await ofUnit(await shop.book({ customer: 'Ridge Dairy', phone: '0222' }));
    await shop.book({ customer: 'Ridge Dairy', phone: '0333' });
    const is = { name: 'Ridge Dairy', phone: '0222', mail: 'a@ridge.example', address: '' };
    expect(code(await editCustomer(shop.db, by, id, null, is))).toBe('ok');
    expect(code(await editCustomer(shop.db, by, id, null, { ...is, mail: 'b@ridge.example' }))).toBe('changed');
    const { editedAt } = (await customerOf(shop.db, id)) as { editedAt: number };
    expect(code(await editCustomer(shop.db, by, id, editedAt, is))).toBe('nothing');
    expect(code(await editCustomer(shop.db, by, id, editedAt, { ...is, phone: '0333' }))).toBe('known');
  });
});

test('two that are one are made one: units and messages come together, and the next that is booked in by the old telephone is theirs', async () => {
  const [a, b] = [await shop.book({ customer: 'Twin Oaks', phone: '0444' }), await shop.book({ customer: 'Twin Oaks', phone: '0445' })];
  const [into, from] = [await ofUnit(a), await ofUnit(b)];
  const alike = await alikeTo(shop.db, (await customerOf(shop.db, into)) as never);
  expect(alike.found.map((c) => c.id)).toEqual([from]);
  // A slip in the name is told too; another of the same first word is not.
  const [slip] = [await shop.book({ customer: 'Twin Oak', phone: '' }), await shop.book({ customer: 'Twin Rivers Dairy', phone: '' })];
  const near = await alikeTo(shop.db, (await customerOf(shop.db, into)) as never);
  expect([near.found.map((c) => c.id).sort(), near.inAll]).toEqual([[from, await ofUnit(slip)].sort(), 2]);
  expect(code(await mergeCustomers(shop.db, by, from, into))).toBe('ok');
  expect([await ofUnit(a), await ofUnit(b)]).toEqual([into, into]);
  expect((await pageOf(shop.db, into, START)).units.inAll).toBe(2);
  expect((await customerOf(shop.db, from))?.id).toBe(into);
  expect(await ofUnit(await shop.book({ customer: 'Twin Oaks', phone: '0445', machine: 'Baler' }))).toBe(into);
  expect((await findCustomers(shop.db, 'Twin Oaks')).inAll).toBe(1);
  expect(code(await mergeCustomers(shop.db, by, from, into))).toBe('no-such-customer');
  expect(code(await mergeCustomers(shop.db, by, into, into))).toBe('no-such-customer');
});

test('one who asks for it is erased from all but certificates, which stay good; not while a unit is here, not by a wrong name', async () => {
  const name = 'Orla Quillfeather';
  const unitId = await shop.at('release', { customer: name, phone: '0777 123' });
  const id = await ofUnit(unitId);
  const asking = await shop.change(unitId, 'asked', PEOPLE.counter);
  await askCustomer(shop.db, asking, { price: 1, promisedAt: START + 9e8, text: `${name}, may we go on?` });
  await answerCustomer(shop.db, await shop.change(unitId, 'answered', PEOPLE.counter), asking.eventId, 'yes');
  await shop.worker(unitId).release();
  const other = await shop.book({ customer: name, phone: '0777 123', machine: 'Mill' });
  expect(code(await eraseCustomer(shop.db, by, id, name))).toBe('in-shop');
  await leave(shop.db, await shop.change(other, 'exited', PEOPLE.lead), 'returned');
  expect(code(await eraseCustomer(shop.db, by, id, 'Orla'))).toBe('other-name');
  expect(JSON.stringify(await customerFile(shop.db, id, START))).toContain(name);
  expect(code(await eraseCustomer(shop.db, by, id, name))).toBe('ok');

  expect((await shop.record(unitId)).job).toMatchObject({ customer: ERASED, phone: '', mail: '' });
  expect(await names('Quillfeather')).toEqual([]);
  expect((await findUnits(shop.db, 'Quillfeather')).inAll).toBe(0);
  // Looked for in every table of the database but that of what was stated.
  const holding = [];
  const tables = await shop.db.all<{ name: string }>(
    "select name from sqlite_master where type = 'table' and name not like 'unit_grams%' and name not like 'unit_words%'",
  );
  for (const table of tables)
    for (const row of await shop.db.all(`select * from "${table.name}"`))
      if (JSON.stringify(row).includes('Quillfeather')) holding.push(table.name);
  expect([...new Set(holding)]).toEqual(['certificates']);
  const [issued] = await shop.db.select().from(certificates);
  expect((await verifyCertificate(shop.db, issued?.number ?? 0, issued?.hash ?? ''))?.statement.customer).toBe(name);
  expect((await historyOf(shop.db, unitId)).map((e) => e.kind)).toContain('released');
  expect((await messagesOf(shop.db, 10)).shown.find((m) => m.message.unitId === unitId)?.message).toMatchObject({
    to: ERASED,
    text: '',
    state: 'read',
  });
  // Who comes again by that name is somebody new.
  expect(await ofUnit(await shop.book({ customer: name, phone: '0777 123', machine: 'Press' }))).not.toBe(id);
});
