import { Document, Image, Page, Path, Svg, Text, View } from '@react-pdf/renderer';
import { locale } from '@/core/locale';
import { sayFullDate } from '@/core/quantity/say-time';
import type { Tick, Traveller, TravellerRow } from '@/core/release/traveller';
import { ink, Letterhead, Lines, printable, QrCode, second, styles } from './pdf-kit';

/** The traveller on paper: its boxes are ticked by hand at the bench, and say what was ticked when it was printed. @param section PNG of the unit; null where it has no bore */
export const travellerPdf = (
  t: Traveller,
  p: { readonly section: Buffer | null; readonly address: string; readonly printedAt: number },
) => (
  <Document title={`Traveller, ${t.tag}`}>
    <Page size="A4" style={{ ...styles.page, padding: 32, fontSize: 8, lineHeight: 1.3 }}>
      <Letterhead lines={locale().letterhead} />
      <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
        <View style={{ width: '80%' }}>
          <Text style={{ fontSize: 22, fontWeight: 700, lineHeight: 1.2 }}>{t.tag}</Text>
          <Text style={{ fontSize: 12, fontWeight: 700, lineHeight: 1.3 }}>{printable(t.unit)}</Text>
          <Lines lines={t.lines} />
          <Text style={{ color: second }}>Printed {sayFullDate(p.printedAt)}. What is on the screen prevails.</Text>
        </View>
        <QrCode text={p.address} size={78} />
      </View>
      {p.section !== null && <Image src={{ data: p.section, format: 'png' }} style={{ height: 92, objectFit: 'contain', marginTop: 6 }} />}
      <View style={{ flexDirection: 'row', gap: 18 }}>
        <View style={{ width: '46%' }}>
          <Rows head="ROUTE" rows={t.route} />
          {t.proving.length > 0 && <Rows head="PROVING" rows={t.proving} />}
        </View>
        <View style={{ width: '54%' }}>
          <Rows head="TRAY, FROM THE OPEN END" rows={t.tray} />
        </View>
      </View>
      <View wrap={false}>
        <Text style={styles.head}>CAUTIONS</Text>
        <Lines lines={t.cautions} />
      </View>
    </Page>
  </Document>
);

const Rows = ({ head, rows }: { readonly head: string; readonly rows: readonly TravellerRow[] }) => (
  <View>
    <Text style={styles.head}>{head}</Text>
    {rows.map((row) => (
      <View key={row.name} wrap={false} style={{ flexDirection: 'row', gap: 5, borderBottom: '0.5pt solid #cfd6d4', paddingVertical: 2 }}>
        <Box tick={row.tick} />
        <Text style={{ flex: 1, color: row.tick === 'none' ? second : ink }}>
          <Text style={{ fontWeight: 700 }}>{printable(row.name)}</Text>
          {row.text === '' ? '' : printable(`  ${row.text}`)}
        </Text>
      </View>
    ))}
  </View>
);

const Box = ({ tick }: { readonly tick: Tick }) => (
  <Svg width={9} height={9} viewBox="0 0 9 9">
    {tick === 'none' ? (
      <Path d="M1 4.5h7" stroke={second} strokeWidth={1} />
    ) : (
      <Path d="M0.5 0.5h8v8h-8z" stroke={ink} strokeWidth={0.8} fill="none" />
    )}
    {tick === 'done' && <Path d="M2 4.5l2 2l3.2 -4.5" stroke={ink} strokeWidth={1.2} fill="none" />}
  </Svg>
);
