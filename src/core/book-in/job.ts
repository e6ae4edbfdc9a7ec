/** With whom one or more units came in, off what, and for when. What is corrected at a unit is another job; a customer is changed on their own page. */
export type Job = {
  readonly id: string;
  readonly customer: string;
  readonly phone: string;
  readonly customerId: string;
  /** Empty: none is known. */
  readonly mail: string;
  readonly machine: string;
  readonly promisedAt: number;
};
