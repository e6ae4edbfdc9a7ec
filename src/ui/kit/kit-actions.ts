import type { KitMatch } from '@/core/kit/match-kit';

import type { Stocked } from '@/core/store/article';
import type { SaveAction } from '../unit/unit-actions';

export type RankedKit = { readonly kit: Stocked; readonly match: KitMatch };
export type KitActions = {
  readonly setAside: SaveAction;
  readonly putBack: SaveAction;
  readonly openBag: SaveAction;
  readonly measure: SaveAction;
  readonly order: SaveAction;
  readonly keep: SaveAction;
  readonly reuse: SaveAction;
};
