export type Wait = {
  readonly id: string;
  readonly tag: string;
  readonly label: string;
  readonly endsAt: number;
  readonly rung: boolean;
  readonly owner: string;
};
