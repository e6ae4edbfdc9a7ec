import type { ComponentProps } from 'react';
import { LOUPE, loupeView, MAP_WIDTH, type MapScale, mapScale } from '@/core/bore-map/map-scale';
import { piecesOf } from '@/core/bore-map/patch';
import { sayLength } from '@/core/quantity/say';
import { MapGround } from './map-ground';
import { type MapMark, MapMarks } from './map-marks';

/** The chosen mark made large in the half of the map where it does not lie, with how far it reaches along and around. Nothing when the map is as close already. */
export function Loupe({
  scale,
  mark,
  marks,
  ...ground
}: Omit<ComponentProps<typeof MapGround>, 'scale'> & {
  readonly scale: MapScale;
  readonly mark: MapMark;
  readonly marks: readonly MapMark[];
}) {
  const { lengthMm, nominalMm } = ground.geometry;
  const place = piecesOf(mark)[0] as MapMark;
  const view = loupeView(place, lengthMm);
  if (view.x1Mm - view.x0Mm > 0.75 * (scale.view.x1Mm - scale.view.x0Mm)) return null;
  const near = mapScale(view);
  const [cx, cy] = [near.x((place.x0Mm + place.x1Mm) / 2), near.y((place.clock0Deg + place.clock1Deg) / 2)];
  const onLeft = scale.x((place.x0Mm + place.x1Mm) / 2) < MAP_WIDTH / 2;
  const { units } = ground;
  const aroundMm = (((mark.clock1Deg - mark.clock0Deg + 360) % 360) * Math.PI * nominalMm) / 360;
  return (
    <g transform={`translate(${onLeft ? scale.right - LOUPE.width - 8 : scale.left + 8} ${scale.top + 8})`} pointerEvents="none">
      <rect width={LOUPE.width} height={LOUPE.height + 22} fill="var(--plate)" stroke="var(--act)" strokeWidth="1.5" />
      <svg
        x="1"
        y="1"
        width={LOUPE.width - 2}
        height={LOUPE.height}
        viewBox={`${cx - LOUPE.width / 2} ${cy - LOUPE.height / 2} ${LOUPE.width} ${LOUPE.height}`}
        aria-hidden="true"
      >
        <rect x={near.left} y={near.top} width={near.right - near.left} height={near.bottom - near.top} fill="var(--sheet)" />
        <MapGround {...ground} scale={near} />
        <MapMarks scale={near} marks={marks} chosen={mark.id} />
      </svg>
      <text x="8" y={LOUPE.height + 16} fontSize="12" fill="var(--ink)">
        <tspan fontWeight="700">{mark.name}</tspan> {sayLength(mark.x0Mm, units)} to {sayLength(mark.x1Mm, units)} {units.length}, around{' '}
        {sayLength(aroundMm, units)} {units.length}
      </text>
    </g>
  );
}
