import { plainFigure } from '../schema/sheet';
import type { Measured, NumberFeature } from './feature';
import { NUMBER_FEATURES } from './feature';

/** The worksheet's readings as they stand in its address: `boreMm=20.66&portThreads=M10x1,M12x1`. */
export const measuredOf = (query: Readonly<Record<string, string | undefined>>): Measured => {
  const lengths = Object.fromEntries(
    NUMBER_FEATURES.flatMap((f: NumberFeature) => {
      const value = Number(query[f]);
      return query[f] !== undefined && Number.isFinite(value) && value > 0 && value <= 10_000 ? [[f, { value }]] : [];
    }),
  );
  const threads = (query.portThreads ?? '')
    .split(',')
    .map((t) => t.trim())
    .filter((t) => t !== '');
  const outlets = Number(query.outletCount);
  const mark = query.castingMark?.trim() ?? '';
  return {
    ...lengths,
    ...(threads.length > 0 ? { portThreads: threads.slice(0, 20) } : {}),
    ...(query.outletCount !== undefined && Number.isInteger(outlets) && outlets >= 0 && outlets <= 20 ? { outletCount: outlets } : {}),
    ...(mark === '' ? {} : { castingMark: mark.slice(0, 100) }),
  };
};

export const queryOf = (m: Measured): string =>
  new URLSearchParams({
    ...Object.fromEntries(NUMBER_FEATURES.flatMap((f) => (m[f] == null ? [] : [[f, plainFigure(m[f].value)]]))),
    ...(m.portThreads == null || m.portThreads.length === 0 ? {} : { portThreads: m.portThreads.join(',') }),
    ...(m.outletCount == null ? {} : { outletCount: String(m.outletCount) }),
    ...(m.castingMark == null || m.castingMark === '' ? {} : { castingMark: m.castingMark }),
  }).toString();
