import { MAP_WIDTH, mapScale, wholeBore } from '@/core/bore-map/map-scale';
import { laneOf } from '@/core/family/lane';
import type { Picture } from '@/core/practice/exercise';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { MapDefs, MapGround } from '../bore-map/map-ground';
import { MapMarks } from '../bore-map/map-marks';
import { useUnits } from '../shell/units-context';
import { Scroll } from '../unit/scroll';

/** A bore unrolled with its marks, none of them judged: that is what is asked. */
export function PracticeMap({ picture: { geometry, marks } }: { readonly picture: Extract<Picture, { readonly kind: 'map' }> }) {
  const units = useUnits();
  const scale = mapScale(wholeBore(geometry.lengthMm));
  const lanes = geometry.seals.map((s) => laneOf(s, STANDARD_RULES.laneMarginMm));
  return (
    <Scroll label="The bore, unrolled">
      <svg
        viewBox={`0 0 ${MAP_WIDTH} ${scale.height}`}
        role="img"
        aria-label={`The bore unrolled, ${marks.length === 1 ? 'one mark' : `${marks.length} marks`} in it`}
        className="w-full min-w-[520px] max-w-3xl bg-sheet"
      >
        <MapDefs scale={scale} />
        <MapGround scale={scale} geometry={geometry} lanes={lanes} gauged={{ depthsMm: [], not: [] }} units={units} />
        <MapMarks scale={scale} marks={marks.map((m) => ({ ...m, id: m.name, outcome: null, unseen: false }))} />
      </svg>
    </Scroll>
  );
}
