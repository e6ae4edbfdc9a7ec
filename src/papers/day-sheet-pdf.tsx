import { Document, Page, Text, View } from '@react-pdf/renderer';
import { locale } from '@/core/locale';
import type { daySheetOf } from '@/core/plan/day-sheet';
import { sayDay, sayFullDate } from '@/core/quantity/say-time';
import { Letterhead, Lines, printable, second, styles } from './pdf-kit';

/** The day's plan for the wall; it is ticked by hand, and says how old it is. */
export const daySheetPdf = (sheet: ReturnType<typeof daySheetOf>, p: { readonly madeAt: number }) => (
  <Document title={`Day sheet, ${sayDay(sheet.day)}`}>
    <Page size="A4" orientation="landscape" style={{ ...styles.page, padding: 32 }}>
      <Letterhead lines={locale().letterhead} />
      <Text style={{ fontSize: 20, fontWeight: 700, lineHeight: 1.2 }}>{sayDay(sheet.day)}</Text>
      <Text style={{ color: second }}>Planned {sayFullDate(p.madeAt)}. What is on the screen prevails.</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 14, marginTop: 6 }}>
        {sheet.people.map((person) => (
          <View key={person.name} style={{ width: 180 }}>
            <Text style={styles.head}>{printable(person.name.toUpperCase())}</Text>
            {person.lines.length === 0 && <Text style={{ color: second }}>nothing planned</Text>}
            {person.lines.map((line) => (
              <View key={`${line.time} ${line.tag}`} wrap={false} style={{ borderBottom: '0.5pt solid #cfd6d4', paddingVertical: 1.5 }}>
                <Text>
                  {line.time} <Text style={{ fontWeight: 700 }}>{line.tag}</Text> {printable(line.words)}
                </Text>
              </View>
            ))}
          </View>
        ))}
      </View>
      {sheet.night.length > 0 && <Text style={styles.head}>START BEFORE YOU LEAVE</Text>}
      <Lines lines={sheet.night} />
      {sheet.late.length > 0 && <Text style={styles.head}>WILL BE LATE</Text>}
      <Lines lines={sheet.late} />
    </Page>
  </Document>
);
