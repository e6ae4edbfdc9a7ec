import { Text, View } from '@react-pdf/renderer';
import type { Charges } from '@/core/cost/charge';
import { plain } from '@/core/quantity/figure';
import { sayCents } from '@/core/quote/say-quote';
import { Row } from './pdf-kit';

/** Lines, taxes, rounding and what they come to. @param total what the sum is called */
export const ChargeRows = ({ charges, total }: { readonly charges: Charges; readonly total: string }) => (
  <View>
    {charges.lines.map((l, i) => (
      <Row key={i} name={l.how === '' ? l.words : `${l.words}, ${l.how}`} value={sayCents(l.cents)} />
    ))}
    {charges.taxes.map((t) => (
      <Row key={t.name} name={`${t.name}, ${plain(t.pct)} % of ${sayCents(t.on)}`} value={sayCents(t.cents)} />
    ))}
    {charges.rounding !== 0 && <Row name="rounding" value={sayCents(charges.rounding)} />}
    <View style={{ flexDirection: 'row', justifyContent: 'space-between', paddingVertical: 3 }}>
      <Text style={{ fontWeight: 700 }}>{total}</Text>
      <Text style={{ fontWeight: 700 }}>{sayCents(charges.total)}</Text>
    </View>
  </View>
);
