'use client';

import { Popover } from 'radix-ui';
import { WORDS, type Word as WordName } from '@/core/glossary';

/** A word of the bench that says what it means when it is pressed, with a drawing. */
export function Word({ of, children }: { readonly of: WordName; readonly children?: string }) {
  const { label, means, shows } = WORDS[of];
  return (
    <Popover.Root>
      <Popover.Trigger
        className="cursor-help underline decoration-dotted underline-offset-4"
        aria-label={`What is “${children ?? label}”?`}
      >
        {children ?? label}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content sideOffset={6} collisionPadding={8} className="z-30 w-72 border border-line bg-sheet p-3 text-ink shadow-lg">
          <p>
            <b>{label}</b> {means}
          </p>
          {shows === 'lane' && <LaneDrawing />}
          {shows === 'limit' && <LimitDrawing />}
          {shows === 'form' && <FormDrawing />}
          {shows === 'gap' && <GapDrawing />}
          {shows === 'settling' && <SettlingDrawing />}
          <Popover.Arrow className="fill-[var(--line)]" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** A cup in its bore: where it rests, how far it runs, and what lies clear of it. */
const LaneDrawing = () => (
  <svg
    viewBox="0 0 260 84"
    className="mt-2 w-full"
    role="img"
    aria-label="A cup at rest, the stroke that it sweeps, and the bore clear of it"
  >
    <path d="M0 12H260M0 60H260" stroke="var(--ink)" strokeWidth="3" />
    <rect x="60" y="14" width="34" height="44" fill="var(--act)" opacity="0.35" />
    <rect x="94" y="14" width="90" height="44" fill="var(--act)" opacity="0.15" />
    <path d="M68 14 86 20V52L68 58Z" fill="var(--ink2)" />
    <path d="M94 36H176m-7-5 7 5-7 5" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
    {[
      [77, 'parked'],
      [139, 'swept'],
      [222, 'clear'],
      [28, 'clear'],
    ].map(([x, text]) => (
      <text key={`${x}`} x={x} y="78" textAnchor="middle" fontSize="12" fill="var(--ink)">
        {text}
      </text>
    ))}
  </svg>
);

/** Diameters on a line: the bore now, its target, and the limit less the gauge's doubt. */
const LimitDrawing = () => (
  <svg
    viewBox="0 0 260 62"
    className="mt-2 w-full"
    role="img"
    aria-label="On a line of diameters: now, target, the gauge’s doubt, and the limit"
  >
    <path d="M0 26H260" stroke="var(--ink2)" />
    <rect x="186" y="16" width="34" height="20" fill="var(--red)" opacity="0.25" />
    <path d="M40 16V36M120 16V36" stroke="var(--ink)" strokeWidth="2" />
    <path d="M220 12V40" stroke="var(--red)" strokeWidth="2.5" />
    {[
      [40, 'now'],
      [120, 'target'],
      [203, 'doubt'],
    ].map(([x, text]) => (
      <text key={`${x}`} x={x} y="54" textAnchor="middle" fontSize="12" fill="var(--ink)">
        {text}
      </text>
    ))}
    <text x="220" y="9" textAnchor="middle" fontSize="12" fill="var(--red)">
      limit
    </text>
  </svg>
);

const Caption = ({ x, y, children }: { readonly x: number; readonly y: number; readonly children: string }) => (
  <text x={x} y={y} textAnchor="middle" fontSize="12" fill="var(--ink)">
    {children}
  </text>
);

/** A bore across, out of round, and a bore along, wider at one end; both far overdone. */
const FormDrawing = () => (
  <svg viewBox="0 0 260 92" className="mt-2 w-full" role="img" aria-label="A bore out of round, and a bore that is wider at one end">
    <circle cx="60" cy="38" r="28" fill="none" stroke="var(--line)" strokeDasharray="3 3" />
    <ellipse cx="60" cy="38" rx="34" ry="24" fill="none" stroke="var(--ink)" strokeWidth="2" />
    <path d="M140 10 246 18M140 66 246 58" stroke="var(--ink)" strokeWidth="2" />
    <path d="M140 14H246M140 62H246" stroke="var(--line)" strokeDasharray="3 3" />
    <Caption x={60} y={86}>
      oval
    </Caption>
    <Caption x={193} y={86}>
      taper
    </Caption>
  </svg>
);

/** A rod before the socket of its piston. */
const GapDrawing = () => (
  <svg viewBox="0 0 260 66" className="mt-2 w-full" role="img" aria-label="A rod’s tip before the piston, with the gap between them">
    <path d="M10 24H118a8 8 0 0 1 0 16H10Z" fill="var(--ink2)" />
    <path d="M150 8H250V56H150V44h-10V20h10Z" fill="none" stroke="var(--ink)" strokeWidth="2" />
    <path d="M127 32H139" stroke="var(--red)" strokeWidth="2.5" />
    <Caption x={60} y={60}>
      rod
    </Caption>
    <Caption x={133} y={60}>
      gap
    </Caption>
    <Caption x={200} y={36}>
      piston
    </Caption>
  </svg>
);

/** Pressure over time: what settles bends and goes flat, what leaks goes on falling. */
const SettlingDrawing = () => (
  <svg
    viewBox="0 0 260 82"
    className="mt-2 w-full"
    role="img"
    aria-label="Pressure that settles and goes flat, and pressure that goes on falling"
  >
    <path d="M10 66V8M10 66H250" stroke="var(--ink2)" />
    <path d="M12 14C40 26 80 28 244 29" fill="none" stroke="var(--ink)" strokeWidth="2" />
    <path d="M12 14 244 58" stroke="var(--red)" strokeWidth="2" strokeDasharray="5 3" />
    <Caption x={200} y={23}>
      settles
    </Caption>
    <Caption x={150} y={60}>
      leaks
    </Caption>
  </svg>
);
