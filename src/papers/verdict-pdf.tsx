import { Document, Image, Page, Text, View } from '@react-pdf/renderer';
import type { Judgement } from '@/core/judge/judge';
import { sayConfidence } from '@/core/judge/say-covers';
import { locale } from '@/core/locale';
import { fixed } from '@/core/quantity/figure';
import { sayFullDate } from '@/core/quantity/say-time';
import { OUTCOME_WORDS } from '@/ui/drawing/verdict-sign';
import { Letterhead, Lines, printable, Row, second, styles } from './pdf-kit';

/** All that stands on a verdict sheet. Pictures are PNG. */
export type VerdictSheet = {
  readonly tag: string;
  readonly unit: string;
  readonly machine: string;
  readonly customer: string;
  readonly judgedAt: number;
  readonly judgedBy: string;
  readonly rulesVersion: number | null;
  readonly gauge: string;
  readonly answer: Judgement;
  /** What the verdict rests on, and what it does not cover. */
  readonly covers: readonly string[];
  readonly map: Buffer;
  readonly profile: Buffer | null;
};

/** The verdict sheet: the map, the profile, the arithmetic as a ladder, and a sentence for each mark. */
export const verdictPdf = (v: VerdictSheet) => {
  const { answer } = v;
  const uncertainty = answer.gauge?.expandedUncertaintyMm ?? 0;
  return (
    <Document title={`Verdict, ${v.tag}`}>
      <Page size="A4" style={styles.page}>
        <Letterhead lines={locale().letterhead} />
        <Text style={{ fontSize: 20, fontWeight: 700, lineHeight: 1.2 }}>
          {OUTCOME_WORDS[answer.outcome]}
          {answer.targetDiaMm === null ? '' : ` to ${fixed(answer.targetDiaMm, 3)} mm`}
        </Text>
        <Text style={{ fontSize: 12, fontWeight: 700, lineHeight: 1.3, marginTop: 6 }}>{printable(`${v.tag}   ${v.unit}`)}</Text>
        <Text>{printable(`${v.machine} · ${v.customer}`)}</Text>
        <Text style={{ color: second }}>
          {printable(
            `Judged ${sayFullDate(v.judgedAt)} by ${v.judgedBy}${v.rulesVersion === null ? '' : `, rules version ${v.rulesVersion}`}. ${v.gauge}`,
          )}
        </Text>
        <Text style={styles.head}>THE BORE, UNROLLED</Text>
        <Image src={{ data: v.map, format: 'png' }} style={{ width: '100%', maxHeight: 260, objectFit: 'contain' }} />
        {v.profile !== null && (
          <View wrap={false}>
            <Text style={styles.head}>DIAMETER ALONG IT</Text>
            <Image src={{ data: v.profile, format: 'png' }} style={{ width: '100%' }} />
          </View>
        )}
        <View wrap={false}>
          <Text style={styles.head}>WHAT IT COMES TO</Text>
          <Row name="Limit" value={mm(answer.limitDiaMm)} />
          <Row name="Uncertainty of the gauge" value={`- ${mm(uncertainty)}`} />
          {answer.targetDiaMm !== null && <Row name="Target" value={`- ${mm(answer.targetDiaMm)}`} />}
          {answer.targetDiaMm === null && answer.gauge !== null && <Row name="Widest now" value={`- ${mm(answer.gauge.maxMm)}`} />}
          <Row
            name="To spare"
            value={answer.gauge === null ? 'not gauged' : mm(answer.marginMm ?? answer.limitDiaMm - uncertainty - answer.gauge.maxMm)}
          />
        </View>
        <Text style={styles.head}>WHY</Text>
        <Lines lines={answer.reasons} />
        {answer.confidence !== null && <Text>{sayConfidence(answer.confidence)}</Text>}
        <Text style={styles.head}>WHAT IT COVERS</Text>
        <Lines lines={v.covers} />
        {answer.marks.length > 0 && <Text style={styles.head}>MARKS</Text>}
        <Lines lines={answer.marks.map((m) => `${m.id}: ${m.reason}`)} />
        {answer.toDo.length > 0 && <Text style={styles.head}>STILL TO BE DONE</Text>}
        <Lines lines={answer.toDo.map((t) => t.text)} />
      </Page>
    </Document>
  );
};

const mm = (value: number): string => `${fixed(value, 3)} mm`;
