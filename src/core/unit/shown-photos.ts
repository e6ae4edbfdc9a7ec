import type { Photo } from './photo';
import type { UnitRecord } from './unit-record';

/** Photos that hang on one thing of a unit: a part, a step, a mark. Those of the unit as a whole stand in its ledger. */
export const hungPhotos = (r: Pick<UnitRecord, 'photos'>): readonly Photo[] => r.photos.filter((p) => p.onKind !== 'unit');

/** How many photos a page sends along for its ledger; all are fetched when they are asked for. */
const NEWEST = 6;
export const newestPhotos = (r: Pick<UnitRecord, 'photos'>): readonly Photo[] => r.photos.slice(-NEWEST);
