import type { BoreForm } from '../gauge/gauge';
import type { Judgement } from '../judge/judge';
import { stationsInLanes } from '../judge/lane-stations';

/**
 * What cutting starts from: the narrowest mean diameter in the lanes, mm. The stones have done their work when that is on size.
 * @returns null where nothing was gauged
 */
export const startDiaOf = ({
  gauge,
  lanes,
}: Pick<Judgement, 'lanes'> & { readonly gauge: Pick<BoreForm, 'stations'> | null }): number | null =>
  gauge === null || gauge.stations.length === 0 ? null : Math.min(...stationsInLanes(gauge.stations, lanes).map((s) => s.meanMm));
