import { laneOf } from '../family/lane';
import { gaugeBore } from '../gauge/gauge';
import { lookedAt } from '../judge/looked';
import type { Looked } from '../judge/say-covers';
import type { Rules } from '../rules/rule-set';
import { currentGauging, currentVerdict } from './facts-of';
import type { UnitRecord } from './unit-record';

/** What of a unit's bore was looked at, as it is now; undefined where it has none. */
export const lookedOf = (r: UnitRecord, rules: Rules): Looked | undefined => {
  const { geometry, material } = r.unit;
  if (geometry === null) return undefined;
  const { readings = [], bodyTempC = null, gaugeTempC = null } = currentGauging(r) ?? {};
  const temps = { bodyTempC, gaugeTempC };
  return lookedAt(
    {
      gauge: readings.length === 0 ? null : gaugeBore({ readings, material, ...temps }, rules),
      lanes: geometry.seals.map((s) => laneOf(s, rules.laneMarginMm)),
      lengthMm: geometry.lengthMm,
      material,
      readings,
      formDoubtMm: currentVerdict(r)?.answer.formDoubtMm ?? null,
      ...temps,
    },
    rules,
  );
};
