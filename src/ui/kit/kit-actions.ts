import type { KeepSurplus, MeasureNeed, OpenBag, PutBack, ReuseOld, SetAsideBag, TakeSet } from '@/core/kit/kit-doors';
import type { KitMatch } from '@/core/kit/match-kit';

import type { Stocked } from '@/core/store/article';
import type { SaveAction } from '../unit/unit-actions';

export type RankedKit = { readonly kit: Stocked; readonly match: KitMatch };
export type KitActions = {
  readonly setAside: SaveAction<SetAsideBag>;
  readonly putBack: SaveAction<PutBack>;
  readonly openBag: SaveAction<OpenBag>;
  readonly measure: SaveAction<MeasureNeed>;
  readonly takeSet: SaveAction<TakeSet>;
  readonly keep: SaveAction<KeepSurplus>;
  readonly reuse: SaveAction<ReuseOld>;
};
