import { Document, Page, Text, View } from '@react-pdf/renderer';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { labelLines } from './label';
import { printable, QrCode, styles } from './pdf-kit';

const MM = 72 / 25.4;

/** The label as a PDF page of 68 × 30 mm, for a label printer. @param address of its fitting sheet */
export const labelPdf = (record: UnitRecord, address: string) => (
  <Document title={tagOf(record.unit)}>
    <Page
      size={[68 * MM, 30 * MM]}
      wrap={false}
      style={{ ...styles.page, padding: 4, flexDirection: 'row', gap: 5, fontSize: 6.5, lineHeight: 1.2 }}
    >
      <QrCode text={address} size={28 * MM - 4} />
      <View style={{ flex: 1 }}>
        <Text style={{ fontSize: 17, fontWeight: 700, lineHeight: 1.2 }}>{tagOf(record.unit)}</Text>
        {labelLines(record).map((line) => (
          <Text key={line} style={{ maxLines: 2, textOverflow: 'ellipsis' }}>
            {printable(line)}
          </Text>
        ))}
      </View>
    </Page>
  </Document>
);
