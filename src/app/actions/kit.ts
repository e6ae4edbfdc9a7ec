'use server';

import { z } from 'zod';
import { DimsDoor } from '@/core/family/dims-door';
import { MeasuredDoor } from '@/core/identify/identify-door';
import { Findings } from '@/core/kit/bag-door';
import { identifyUnit } from '@/db/identify/identity';
import { keepSurplus, measureNeed, openBag, orderFor, putBack, reuseOld, setAside, spoilPiece } from '@/db/kit/kit';
import { act } from '../_server/act';
import { changeOf, Id, Target } from '../_server/change-of';

export const setAsideAction = act(
  'kit',
  z.object({ ...Target, articleId: Id, qty: z.number().int().min(1).max(100) }),
  (i, { db, person, now }) => setAside(db, changeOf(i, person, now, 'kit-set-aside'), i),
);
export const putBackAction = act('kit', z.object({ ...Target, bagId: Id }), (i, { db, person, now }) =>
  putBack(db, changeOf(i, person, now, 'kit-put-back'), i.bagId),
);
/** A new piece that is nicked or cut is put away, and another asked for. */
export const spoilPieceAction = act('bench', z.object({ ...Target, partId: Id, name: z.string().max(80) }), (i, { db, person, now }) =>
  spoilPiece(db, changeOf(i, person, now, 'piece-spoilt', i.name), i.partId),
);

export const openBagAction = act('kit', z.object({ ...Target, bagId: Id, findings: Findings }), (i, { db, person, now }) =>
  openBag(db, changeOf(i, person, now, 'kit-opened'), i),
);
export const measureNeedAction = act('kit', z.object({ ...Target, partId: Id, dims: DimsDoor }), (i, { db, person, now }) =>
  measureNeed(db, changeOf(i, person, now, 'part-recorded', 'measured for its kit'), i),
);
export const reuseOldAction = act(
  'kit',
  z.object({ ...Target, partId: Id, reason: z.string().trim().min(3, 'say why').max(200) }),
  (i, { db, person, now }) => reuseOld(db, changeOf(i, person, now, 'part-recorded', `old part goes back: ${i.reason}`), i),
);
export const orderForAction = act(
  'kit',
  z.object({ ...Target, articleId: Id, qty: z.number().int().min(1).max(1000), expectedAt: z.number() }),
  (i, { db, person, now }) => orderFor(db, changeOf(i, person, now, 'parts-ordered'), i),
);
export const keepSurplusAction = act(
  'kit',
  z.object({ ...Target, bagId: Id, item: z.number().int().min(0).max(200), qty: z.number().int().min(1).max(1000) }),
  (i, { db, person, now }) => keepSurplus(db, changeOf(i, person, now, 'kit-kept'), i),
);
export const identifyAction = act('book-in', z.object({ ...Target, fitmentId: Id, measured: MeasuredDoor }), (i, { db, person, now }) =>
  identifyUnit(db, changeOf(i, person, now, 'identified'), i),
);
