'use client';

import type { BoreForm } from '@/core/gauge/gauge';
import { sayDia, sayLength } from '@/core/quantity/say';
import { sayDate } from '@/core/quantity/say-time';
import type { GaugedSet } from '@/core/unit/gauged-before';
import { useUnits } from '../shell/units-context';
import { DASHES } from './dashes';
import { LineChart } from './line-chart';

/** The bore's diameter along its depth: means with the gauge's uncertainty and the ovality about them, as it was gauged before, limit, target and nominal. */
export function ProfileChart({
  form,
  lengthMm,
  nominalMm,
  limitMm,
  targetMm,
  earlier = [],
}: {
  readonly form: BoreForm;
  readonly lengthMm: number;
  readonly nominalMm: number;
  readonly limitMm?: number | undefined;
  readonly targetMm?: number | null | undefined;
  /** As it was gauged before. */
  readonly earlier?: readonly GaugedSet[];
}) {
  const units = useUnits();
  const { stations, expandedUncertaintyMm: u } = form;
  return (
    <LineChart
      title={`Diameter along the bore, ${sayDia(form.minMm, units)} to ${sayDia(form.maxMm, units)} ${units.length}`}
      height={210}
      series={[
        { name: 'mean', dash: '', look: 'line-and-dots', points: stations.map((s) => ({ x: s.xMm, y: s.meanMm })) },
        ...earlier.map((e, i) => ({
          name: `gauged ${sayDate(e.at)}`,
          dash: DASHES[(i + 1) % DASHES.length] ?? '',
          points: e.stations.map((s) => ({ x: s.xMm, y: s.meanMm })),
        })),
      ]}
      bands={[
        { name: 'widest to narrowest', points: stations.map((s) => ({ x: s.xMm, low: s.lowMm, high: s.highMm })) },
        { name: 'uncertainty of the gauge', points: stations.map((s) => ({ x: s.xMm, low: s.meanMm - u, high: s.meanMm + u })) },
      ]}
      x={{ name: `depth, ${units.length}`, say: (mm) => sayLength(mm, units), span: [0, lengthMm] }}
      y={{ name: `⌀ ${units.length}`, say: (mm) => sayDia(mm, units) }}
      levels={[
        { text: `nominal ${sayDia(nominalMm, units)}`, from: nominalMm, look: 'plain' },
        ...(limitMm === undefined ? [] : [{ text: `limit ${sayDia(limitMm, units)}`, from: limitMm, look: 'limit' as const }]),
        ...(targetMm == null ? [] : [{ text: `target ${sayDia(targetMm, units)}`, from: targetMm, look: 'plain' as const }]),
      ]}
    />
  );
}
