import type { Flare } from '@/core/line/flare';
import type { Seat } from '@/core/quantity/thread';

/** The upper wall of a tube’s end in section, left the tube, right the port. */
const WALLS: { readonly [F in Flare]: string } = {
  double: 'M4 34H44L62 16L67 21L52 36L60 38H4Z',
  bubble: 'M4 34H46V26Q58 20 64 30Q66 36 58 38H4Z',
  universal: 'M4 34H46V26Q58 20 63 27L56 34L60 38H4Z',
  none: 'M4 34H60V38H4Z',
};
const PORTS: { readonly [S in Seat]: string } = {
  'cone-out': 'M96 4V84H84V62L58 46V42L84 26V4Z',
  'cone-in': 'M96 4V84H60L60 74L74 56V32L60 14V4Z',
  flat: 'M96 4V84H70V48H96V40H70V4Z',
};

/** A flare in front of the seat that it is for, in section: tube, nut’s place, port. */
export const FlarePicture = ({ flare, seat }: { readonly flare: Flare; readonly seat: Seat }) => (
  <svg
    width="150"
    height="132"
    viewBox="0 0 100 88"
    role="img"
    aria-label={`${flare} flare before its seat, cut open`}
    className="shrink-0"
  >
    <g transform="translate(-8 0)" fill="var(--tint)" stroke="var(--ink)" strokeWidth="1.2">
      <path d={WALLS[flare]} />
      <path d={WALLS[flare]} transform="translate(0 88) scale(1 -1)" />
    </g>
    <path d="M0 44H98" stroke="var(--ink2)" strokeWidth="0.6" strokeDasharray="6 2 1 2" />
    <path d={PORTS[seat]} fill="var(--hair)" stroke="var(--act)" strokeWidth="1.2" />
  </svg>
);

/** What is seen in a port, alone. */
export const SeatPicture = ({ seat }: { readonly seat: Seat }) => (
  <svg width="150" height="150" viewBox="44 -4 60 96" role="img" aria-label="A port, cut open" className="border border-line bg-sheet">
    <path d={PORTS[seat]} fill="var(--hair)" stroke="var(--ink)" strokeWidth="1.2" />
  </svg>
);
