/** What the customer was asked about a judgement, and what was answered. */
export type Approval = {
  readonly id: string;
  readonly verdictId: string;
  readonly at: number;
  readonly personId: string;
  /** Added to the price, in the shop's money. */
  readonly price: number;
  readonly promisedAt: number;
  readonly text: string;
  readonly answer: 'yes' | 'no' | null;
  readonly answeredAt: number | null;
  readonly answeredTo: string | null;
};
