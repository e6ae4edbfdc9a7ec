/** A wait with an owner. */
export type Timer = {
  readonly id: string;
  readonly label: string;
  /** Who goes and looks when it rings; `personId` started it. */
  readonly ownerId: string;
  readonly startedAt: number;
  readonly endsAt: number;
  readonly personId: string;
  readonly doneAt: number | null;
};
