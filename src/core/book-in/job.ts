/** With whom one or more units came in, off what, and for when. Never changed in place: what is corrected is another job. */
export type Job = {
  readonly id: string;
  readonly customer: string;
  readonly phone: string;
  readonly machine: string;
  readonly promisedAt: number;
};
