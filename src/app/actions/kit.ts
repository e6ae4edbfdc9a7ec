'use server';

import { KeepSurplus, MeasureNeed, OpenBag, PutBack, ReuseOld, SetAsideBag, SpoilPiece, TakeSet } from '@/core/kit/kit-schemas';
import { keepSurplus, measureNeed, openBag, putBack, reuseOld, spoilPiece } from '@/db/kit/kit';
import { setAside, takeSet } from '@/db/kit/take';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const setAsideAction = act('kit', SetAsideBag, (i, { db, person, now }) =>
  setAside(db, changeOf(i, person, now, 'kit-set-aside'), i),
);
export const putBackAction = act('kit', PutBack, (i, { db, person, now }) =>
  putBack(db, changeOf(i, person, now, 'kit-put-back'), i.bagId),
);
/** A new piece that is nicked or cut is put away, and another asked for. */
export const spoilPieceAction = act('bench', SpoilPiece, (i, { db, person, now }) =>
  spoilPiece(db, changeOf(i, person, now, 'piece-spoilt', i.name), i.partId),
);

export const openBagAction = act('kit', OpenBag, (i, { db, person, now }) => openBag(db, changeOf(i, person, now, 'kit-opened'), i));
export const measureNeedAction = act('kit', MeasureNeed, (i, { db, person, now }) =>
  measureNeed(db, changeOf(i, person, now, 'part-recorded', 'measured for its kit'), i),
);
export const reuseOldAction = act('kit', ReuseOld, (i, { db, person, now }) =>
  reuseOld(db, changeOf(i, person, now, 'part-recorded', `old part goes back: ${i.reason}`), i),
);
export const takeSetAction = act('kit', TakeSet, (i, { db, person, now }) =>
  takeSet(db, changeOf(i, person, now, i.picks.every((p) => p.take === 0) ? 'parts-ordered' : 'kit-set-aside'), i.picks),
);
export const keepSurplusAction = act('kit', KeepSurplus, (i, { db, person, now }) =>
  keepSurplus(db, changeOf(i, person, now, 'kit-kept'), i),
);
