import { type Contact, sayContact, type Weight, weightOf } from '@/core/fluid/contact';

const EDGE: { readonly [W in Weight]: string } = { stop: 'border-red', note: 'border-amber', good: 'border-line' };
const WORD: { readonly [W in Weight]: string } = { stop: 'Stop: ', note: 'Mind: ', good: '' };

/** What touches what, each in a sentence: what stops the work first. */
export function Contacts({ contacts }: { readonly contacts: readonly Contact[] }) {
  const order: readonly Weight[] = ['stop', 'note', 'good'];
  const sorted = [...contacts].sort((a, b) => order.indexOf(weightOf(a)) - order.indexOf(weightOf(b)));
  return (
    <ul className="grid gap-1.5">
      {sorted.map((c) => {
        const weight = weightOf(c);
        return (
          <li key={sayContact(c)} className={`border-l-4 pl-3 ${EDGE[weight]}`}>
            {WORD[weight] !== '' && <b>{WORD[weight]}</b>}
            {sayContact(c)}
          </li>
        );
      })}
    </ul>
  );
}
