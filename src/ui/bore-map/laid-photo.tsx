'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import type { DownBore } from '@/core/bore-map/down-bore';
import { MAP_WIDTH, type MapScale } from '@/core/bore-map/map-scale';
import { cssMatrix, type FixedPoint, homography, type Lies } from '@/core/bore-map/underlay';
import type { Unrolled } from '@/core/bore-map/unroll';
import type { Geometry } from '@/core/family/geometry';
import { sayLength } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';
import { useWorker } from '../shell/use-worker';
import type { UnrollAsk, UnrollSaid } from './unrolled-picture';

/** A photo of the bore under its map, so that what it shows lies where it belongs. */
export function LaidPhoto({
  src,
  lies,
  scale,
  geometry,
}: {
  readonly src: string;
  readonly lies: Lies;
  readonly scale: MapScale;
  readonly geometry: Geometry;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(MAP_WIDTH);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => entry !== undefined && setWidth(entry.contentRect.width));
    watch.observe(box.current as HTMLDivElement);
    return () => watch.disconnect();
  }, []);
  const k = width / MAP_WIDTH;
  return (
    <div
      ref={box}
      className="absolute inset-0 overflow-hidden"
      style={{
        clipPath: `inset(${scale.top * k}px ${(MAP_WIDTH - scale.right) * k}px ${(scale.height - scale.bottom) * k}px ${scale.left * k}px)`,
      }}
    >
      {lies.kind === 'wall' ? (
        <Stretched src={src} points={lies.points} scale={scale} k={k} />
      ) : (
        <Rolled src={src} lies={lies} scale={scale} k={k} geometry={geometry} />
      )}
    </div>
  );
}

/** Size that the picture is given before it is stretched, px. */
const PICTURE = 1000;

function Stretched({
  src,
  points,
  scale,
  k,
}: {
  readonly src: string;
  readonly points: readonly FixedPoint[];
  readonly scale: MapScale;
  readonly k: number;
}) {
  const h = homography(
    points.map((p) => [p.u * PICTURE, p.v * PICTURE]),
    points.map((p) => [scale.x(p.xMm) * k, scale.y(p.clockDeg) * k]),
  );
  if (h === undefined) return null;
  return (
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
  );
}

const openWorker = (): Worker => new Worker(new URL('./unroll.worker.ts', import.meta.url), { type: 'module' });
const READ_TO: { readonly [B in Unrolled['readTo']['by']]: string } = {
  'the-bore': 'The photo can be read to the end of the bore.',
  'its-pixels': 'Deeper, one of its pixels covers more than a millimetre.',
  'its-focus': 'Deeper, nothing shows that it is in focus.',
};

function Rolled({
  src,
  lies,
  scale,
  k,
  geometry: { nominalMm, lengthMm },
}: {
  readonly src: string;
  readonly lies: DownBore;
  readonly scale: MapScale;
  readonly k: number;
  readonly geometry: Geometry;
}) {
  const units = useUnits();
  const ask = useMemo<UnrollAsk>(() => ({ src, lies, diaMm: nominalMm, lengthMm }), [src, lies, nominalMm, lengthMm]);
  const said = useWorker<UnrollAsk, UnrollSaid>(openWorker, ask);
  const canvas = useRef<HTMLCanvasElement>(null);
  const unrolled = typeof said === 'object' ? said : undefined;
  useEffect(() => {
    if (unrolled === undefined || canvas.current === null) return;
    const { width, height, rgba } = unrolled.pixels;
    const picture = new ImageData(width, height);
    picture.data.set(rgba);
    canvas.current.getContext('2d')?.putImageData(picture, 0, 0);
  }, [unrolled]);
  return (
    <>
      {unrolled !== undefined && (
        <canvas
          ref={canvas}
          width={unrolled.pixels.width}
          height={unrolled.pixels.height}
          className="absolute"
          style={{
            left: scale.x(0) * k,
            top: scale.y(0) * k,
            width: (scale.x(lengthMm) - scale.x(0)) * k,
            height: (scale.y(360) - scale.y(0)) * k,
          }}
        />
      )}
      <p role="status" className="absolute bg-sheet px-1.5 text-[12px]" style={{ left: scale.left * k + 2, top: scale.top * k + 2 }}>
        {said === undefined && 'Unrolling the photo …'}
        {said === 'no-picture' && 'The photo did not come.'}
        {said === 'no-tube' && 'These two rings are of no tube: the second one lies deeper, and so it is smaller.'}
        {unrolled !== undefined && unrolled.readTo.by === 'the-bore' && READ_TO['the-bore']}
        {unrolled !== undefined && unrolled.readTo.by !== 'the-bore' && (
          <>
            Read it to {sayLength(unrolled.readTo.zMm, units)} {units.length} from{' '}
            {lies.from === 'open-end' ? 'the open end' : 'the far end'}. {READ_TO[unrolled.readTo.by]}
          </>
        )}
      </p>
    </>
  );
}
