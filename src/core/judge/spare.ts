import type { Judgement } from './judge';

/** What is left to the limit, less the gauge's uncertainty, mm: after the cut that is asked for, or of the bore as it is where none is; null without readings. */
export const spareOf = ({
  marginMm,
  limitDiaMm,
  gauge,
  decides,
}: Pick<Judgement, 'marginMm' | 'limitDiaMm' | 'gauge' | 'decides'>): number | null => {
  const widestMm = decides?.highMm ?? gauge?.maxMm;
  return marginMm ?? (widestMm === undefined ? null : limitDiaMm - (gauge?.expandedUncertaintyMm ?? 0) - widestMm);
};
