'use client';

import { useEffect, useRef, useState } from 'react';
import { cssMatrix, type FixedPoint, homography } from '@/core/judge/underlay';
import { MAP_WIDTH, type MapScale } from './map-scale';

/** Size that the picture is given before it is stretched, px. */
const PICTURE = 1000;

/** A photo of the bore, stretched so that its four points lie where they belong on the map. */
export function LaidPhoto({
  src,
  points,
  scale,
}: {
  readonly src: string;
  readonly points: readonly FixedPoint[];
  readonly scale: MapScale;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(MAP_WIDTH);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => entry !== undefined && setWidth(entry.contentRect.width));
    watch.observe(box.current as HTMLDivElement);
    return () => watch.disconnect();
  }, []);
  const k = width / MAP_WIDTH;
  const h = homography(
    points.map((p) => [p.u * PICTURE, p.v * PICTURE]),
    points.map((p) => [scale.x(p.xMm) * k, scale.y(p.clockDeg) * k]),
  );
  return (
    <div
      ref={box}
      className="absolute inset-0 overflow-hidden"
      style={{
        clipPath: `inset(${scale.top * k}px ${(MAP_WIDTH - scale.right) * k}px ${(scale.height - scale.bottom) * k}px ${scale.left * k}px)`,
      }}
    >
      {h !== undefined && (
        // biome-ignore lint/performance/noImgElement: it is stretched by a matrix
        <img
          src={src}
          alt=""
          draggable={false}
          width={PICTURE}
          height={PICTURE}
          className="max-w-none origin-top-left"
          style={{ transform: cssMatrix(h), width: PICTURE, height: PICTURE }}
        />
      )}
    </div>
  );
}
