import { ArrowDown, ArrowUp } from 'lucide-react';

/** Moves a row of a list one place up or down. */
export const MoveButtons = ({
  at,
  of,
  earlier,
  later,
  onMove,
}: {
  readonly at: number;
  readonly of: number;
  readonly earlier: string;
  readonly later: string;
  readonly onMove: (by: 1 | -1) => void;
}) => (
  <>
    <button
      type="button"
      className="size-9 text-act disabled:text-line"
      aria-label={earlier}
      disabled={at === 0}
      onClick={() => onMove(-1)}
    >
      <ArrowUp size={18} className="mx-auto" />
    </button>
    <button
      type="button"
      className="size-9 text-act disabled:text-line"
      aria-label={later}
      disabled={at === of - 1}
      onClick={() => onMove(1)}
    >
      <ArrowDown size={18} className="mx-auto" />
    </button>
  </>
);

/** A list with one of its rows moved by a place. */
export const moved = <T,>(list: readonly T[], at: number, by: 1 | -1): readonly T[] => {
  const row = list[at];
  return row === undefined ? list : list.toSpliced(at, 1).toSpliced(at + by, 0, row);
};
