import { Document, Page, Text, View } from '@react-pdf/renderer';
import { capital } from '@/core/capital';
import { locale } from '@/core/locale';
import { sayFullDate } from '@/core/quantity/say-time';
import type { Offered, Quote } from '@/core/quote/quote';
import { sayReady } from '@/core/quote/say-quote';
import { ChargeRows } from './charge-rows';
import { Letterhead, printable, QrCode, second, styles } from './pdf-kit';

/** All that stands on a quote. `address` is its customer's page. */
export type QuoteSheet = {
  readonly tag: string;
  readonly unit: string;
  readonly machine: string;
  readonly customer: string;
  readonly quote: Pick<Quote, 'at' | 'validUntil' | 'words' | 'options'>;
  readonly address: string;
};

/** The quote on paper: each option with its lines, and where to answer. */
export const quotePdf = ({ tag, unit, machine, customer, quote, address }: QuoteSheet) => (
  <Document title={`Quote, ${tag}`}>
    <Page size="A4" style={styles.page}>
      <Letterhead lines={locale().letterhead} />
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 16 }}>
        <View style={{ flex: 1 }}>
          <Text style={{ fontSize: 20, fontWeight: 700, lineHeight: 1.2 }}>Quote</Text>
          <Text style={{ fontSize: 12, fontWeight: 700, lineHeight: 1.3, marginTop: 6 }}>{printable(`${tag}   ${unit}`)}</Text>
          <Text>{printable(`${machine} · ${customer}`)}</Text>
          <Text style={{ color: second }}>{`Made on ${sayFullDate(quote.at)}. It holds until ${sayFullDate(quote.validUntil)}.`}</Text>
          <Text style={{ marginTop: 8 }}>{printable(quote.words)}</Text>
          <Text style={{ marginTop: 4, fontSize: 7, color: second }}>{address}</Text>
        </View>
        <View style={{ width: 96 }}>
          <QrCode text={address} size={96} />
          <Text style={{ fontSize: 7, color: second }}>Answer here, or ring us.</Text>
        </View>
      </View>
      {quote.options.map((o) => (
        <Option key={o.id} o={o} at={quote.at} />
      ))}
    </Page>
  </Document>
);

const Option = ({ o, at }: { readonly o: Offered; readonly at: number }) => (
  <View wrap={false}>
    <Text style={{ ...styles.head, fontSize: 10 }}>{printable(`${capital(o.words)}, ${sayReady(o, at)}`)}</Text>
    <ChargeRows charges={o.charges} total="To pay" />
  </View>
);
