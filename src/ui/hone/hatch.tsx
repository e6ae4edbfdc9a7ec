import { fixed } from '@/core/quantity/figure';
/** The pattern that the stones leave, at the angle that the strokes give; what was wished is drawn thin. Around the bore runs across, along it runs down. */
export function Hatch({ gotDeg, wishedDeg }: { readonly gotDeg: number; readonly wishedDeg: number }) {
  const label = `Cross-hatch: ${fixed(gotDeg, 0)}° at this speed, ${fixed(wishedDeg, 0)}° wished`;
  return (
    <figure className="w-40">
      <svg viewBox="0 0 100 60" className="w-full border border-line bg-sheet" role="img" aria-label={label}>
        <defs>
          <clipPath id="hatch-box">
            <rect width="100" height="60" />
          </clipPath>
        </defs>
        <g clipPath="url(#hatch-box)">
          <path d={linesAt(gotDeg / 2)} stroke="var(--ink)" strokeWidth="0.5" />
          <path d={linesAt(-gotDeg / 2)} stroke="var(--ink)" strokeWidth="0.5" />
          <path d={throughMiddle(wishedDeg / 2)} stroke="var(--act)" strokeWidth="0.8" strokeDasharray="3 2" />
          <path d={throughMiddle(-wishedDeg / 2)} stroke="var(--act)" strokeWidth="0.8" strokeDasharray="3 2" />
        </g>
      </svg>
      <figcaption className="text-[13px]">
        crosses at <b>{fixed(gotDeg, 0)}°</b>
        <span className="text-ink2">, {fixed(wishedDeg, 0)}° wished</span>
      </figcaption>
    </figure>
  );
}

const PITCH = 6;

/** Parallel lines over the box, so many degrees from across. */
const linesAt = (deg: number): string => {
  const rise = Math.tan((deg * Math.PI) / 180) * 100;
  const step = PITCH / Math.cos((deg * Math.PI) / 180);
  const [low, high] = [Math.min(0, rise) - step, 60 + Math.max(0, rise) + step];
  return Array.from({ length: Math.ceil((high - low) / step) }, (_, i) => low + i * step)
    .map((y) => `M0 ${y.toFixed(2)}L100 ${(y - rise).toFixed(2)}`)
    .join('');
};

const throughMiddle = (deg: number): string => {
  const rise = Math.tan((deg * Math.PI) / 180) * 50;
  return `M0 ${(30 + rise).toFixed(2)}L100 ${(30 - rise).toFixed(2)}`;
};
