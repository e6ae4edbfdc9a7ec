/** A test that was made, or a cause that was confirmed or ruled out. */
export type Finding = {
  readonly id: string;
  readonly at: number;
  readonly personId: string;
  readonly about: 'test' | 'cause';
  readonly name: string;
  readonly answer: 'yes' | 'no';
};
