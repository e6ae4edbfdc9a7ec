'use client';

import { fixed } from '@/core/quantity/figure';
import { tempIn } from '@/core/quantity/say';
import { sayFine } from '@/core/set/say-gap';
import { type GapRules, gapWarm, type Setup, type Thermal, WARMEST_C } from '@/core/set/setup';
import { LineChart } from '../chart/late-chart';
import { useUnits } from '../shell/units-context';

const COLDEST_C = -20;

/** The gap over the temperature of unit and rod, with what is allowed and where it closes. */
export function GapWarmth({
  gapMm,
  thermal,
  rules,
}: {
  readonly gapMm: number;
  readonly thermal: Thermal;
  readonly rules: Setup['rulesUsed'] & Pick<GapRules, 'windowMinMm'>;
}) {
  const units = useUnits();
  const points = Array.from({ length: (WARMEST_C - COLDEST_C) / 20 + 1 }, (_, i) => COLDEST_C + i * 20).map((c) => ({
    x: tempIn(c, units),
    y: gapWarm(gapMm, thermal, c),
  }));
  return (
    <LineChart
      title={`Gap against temperature: ${points.map((p) => `${sayFine(p.y, units)} at ${fixed(p.x, 0)}`).join(', ')}`}
      series={[{ name: 'gap', dash: '', points }]}
      x={{ name: `temperature of unit and rod, °${units.temperature}`, say: (t) => fixed(t, 0) }}
      y={{ name: `gap, ${units.length}`, say: (mm) => sayFine(mm, units) }}
      levels={[
        { text: 'allowed when set', from: rules.windowMinMm, to: rules.windowMaxMm, look: 'allowed' },
        { text: 'closed', from: 0, look: 'limit' },
      ]}
    />
  );
}
