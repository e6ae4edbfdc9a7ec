import { Document, Page, Text, View } from '@react-pdf/renderer';
import type { FittingSheet } from '@/core/fitting-sheet/fitting-sheet';
import { locale } from '@/core/locale';
import { Letterhead, Lines, printable, QrCode, second, styles } from './pdf-kit';

/** The fitting sheet on paper. @param address of its page, which stays as the shop’s record does */
export const fittingSheetPdf = (sheet: FittingSheet, address: string) => (
  <Document title={`Fitting sheet, ${sheet.tag}`}>
    <Page size="A4" style={styles.page}>
      <Letterhead lines={locale().letterhead} />
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 16 }}>
        <View style={{ flex: 1 }}>
          <Text style={{ fontSize: 20, fontWeight: 700, lineHeight: 1.2 }}>Fitting sheet</Text>
          <Text style={{ fontSize: 12, fontWeight: 700, lineHeight: 1.3, marginTop: 6 }}>{printable(`${sheet.tag}   ${sheet.unit}`)}</Text>
          {sheet.fitment !== null && <Text>{printable(sheet.fitment)}</Text>}
          <Text style={{ marginTop: 4, fontWeight: sheet.may.kind === 'fit' ? 400 : 700 }}>{printable(sheet.may.words)}</Text>
          <Text style={{ marginTop: 4, fontSize: 7, color: second }}>{address}</Text>
        </View>
        <QrCode text={address} size={86} />
      </View>
      {sheet.sections.map((s) => (
        <View key={s.head} wrap={false}>
          <Text style={styles.head}>{s.head.toUpperCase()}</Text>
          <Lines lines={s.lines} />
        </View>
      ))}
    </Page>
  </Document>
);
