import { Document, Page, Text, View } from '@react-pdf/renderer';
import { type Bill, PAYMENT_WORDS, type Payment } from '@/core/bill/bill';
import { locale } from '@/core/locale';
import { sayFullDate } from '@/core/quantity/say-time';
import { sayCents } from '@/core/quote/say-quote';
import { ChargeRows } from './charge-rows';
import { Letterhead, printable, Row, second, styles } from './pdf-kit';

/** All that stands on a bill or a credit note; `open` is what is still to be paid, cents. */
export type BillSheet = { readonly bill: Bill; readonly payments: readonly Payment[]; readonly open: number };

export const billPdf = ({ bill, payments, open }: BillSheet) => {
  const name = bill.kind === 'credit' ? 'Credit note' : 'Bill';
  return (
    <Document title={`${name} ${bill.number}`}>
      <Page size="A4" style={styles.page}>
        <Letterhead lines={locale().letterhead} />
        <View style={{ marginTop: 12, marginBottom: 12 }}>
          {bill.to.map((line) => (
            <Text key={line}>{printable(line)}</Text>
          ))}
        </View>
        <Text style={{ fontSize: 20, fontWeight: 700, lineHeight: 1.2 }}>{`${name} ${bill.number}`}</Text>
        <Text style={{ color: second }}>{sayFullDate(bill.at)}</Text>
        {bill.kind === 'credit' && <Text>{printable(`Takes back bill ${bill.of}: ${bill.reason}`)}</Text>}
        <Text style={{ fontSize: 12, fontWeight: 700, lineHeight: 1.3, marginTop: 6 }}>{printable(`${bill.tag}   ${bill.unit}`)}</Text>
        <Text style={{ marginBottom: 8 }}>{printable(`${bill.machine} · handed to ${bill.handedTo}`)}</Text>
        <ChargeRows charges={bill.charges} total={bill.kind === 'credit' ? 'Credited' : 'To pay'} />
        {payments.map((p) => (
          <Row key={p.id} name={`Paid ${PAYMENT_WORDS[p.how]}, ${sayFullDate(p.at)}`} value={sayCents(p.cents)} />
        ))}
        {bill.kind === 'bill' && <Text style={{ marginTop: 8 }}>{open === 0 ? 'Nothing is open.' : `Still open: ${sayCents(open)}.`}</Text>}
      </Page>
    </Document>
  );
};
