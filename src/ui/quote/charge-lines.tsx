import type { Charges } from '@/core/cost/charge';
import { plain } from '@/core/quantity/figure';
import { sayCents } from '@/core/quote/say-quote';

/** What an option or a bill comes to, line by line. */
export function ChargeLines({ charges, head }: { readonly charges: Charges; readonly head: string }) {
  const { lines, taxes, rounding, net, total } = charges;
  return (
    <table className="w-full text-[13px]">
      <caption className="sr-only">{head}</caption>
      <tbody>
        {lines.map((l, i) => (
          <Line key={i} words={l.words} how={l.how} cents={l.cents} />
        ))}
        {taxes.length > 0 && <Line words="without tax" how="" cents={net} strong />}
        {taxes.map((t) => (
          <Line key={t.name} words={t.name} how={`${plain(t.pct)} % of ${sayCents(t.on)}`} cents={t.cents} />
        ))}
        {rounding !== 0 && <Line words="rounding" how="" cents={rounding} />}
        <Line words="to pay" how="" cents={total} strong />
      </tbody>
    </table>
  );
}

function Line({
  words,
  how,
  cents,
  strong = false,
}: {
  readonly words: string;
  readonly how: string;
  readonly cents: number;
  readonly strong?: boolean;
}) {
  return (
    <tr className={strong ? 'font-bold' : ''}>
      <th scope="row" className={`py-0.5 pr-3 text-left align-top ${strong ? '' : 'font-normal'}`}>
        {words} {how !== '' && <span className="text-ink2">{how}</span>}
      </th>
      <td className="py-0.5 text-right align-top whitespace-nowrap tabular-nums">{sayCents(cents)}</td>
    </tr>
  );
}
