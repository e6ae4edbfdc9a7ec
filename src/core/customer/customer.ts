/** Whoever brings units. Empty: not known. Times in ms since 1970. */
export type Customer = {
  readonly id: string;
  readonly name: string;
  readonly phone: string;
  readonly mail: string;
  readonly address: string;
  /** Last changed on its page; null: as it came in. */
  readonly editedAt: number | null;
  /** The one that this turned out to be. */
  readonly mergedInto: string | null;
  readonly erasedAt: number | null;
};

export type Entered = Pick<Customer, 'name' | 'phone' | 'mail' | 'address'>;

const WORDS: { readonly [F in keyof Entered]: string } = { name: 'name', phone: 'telephone', mail: 'mail', address: 'address' };

/** How a message reaches a customer. */
export const sayReach = ({ mail, phone }: Pick<Customer, 'mail' | 'phone'>): string =>
  mail !== ''
    ? `It goes to ${mail}.`
    : phone !== ''
      ? `No mail address is known: it is read out from the outbox, to ${phone}.`
      : 'Neither mail nor telephone is known: it is read out from the outbox when they come.';

/** What was changed of a customer, for their history; empty where nothing was. */
export const sayChanged = (was: Entered, is: Entered): string =>
  (Object.keys(WORDS) as readonly (keyof Entered)[])
    .flatMap((f) => (was[f] === is[f] ? [] : [`${WORDS[f]}: ${was[f] || 'nothing'} → ${is[f] || 'nothing'}`]))
    .join('; ');

/** One that is made of two: what it lacks comes from the other. */
export const mergedFrom = (into: Entered, from: Entered): Entered => ({
  name: into.name,
  phone: into.phone || from.phone,
  mail: into.mail || from.mail,
  address: into.address || from.address,
});

/** What stands in place of a customer who was erased. */
export const ERASED = 'erased customer';

/** What stays of a customer who is erased, and why: said before and after. */
export const WHAT_STAYS = [
  'Certificates stay as they were issued, with the name that is on them: whoever relies on a brake must be able to check its paper.',
  'Bills stay with the name that is on them, for as long as the law asks for them.',
  'What was measured and done on the units stays; nothing of it leads back to a person but by those papers.',
  'Backups that were made before still hold the name, until they are replaced by newer ones.',
] as const;
