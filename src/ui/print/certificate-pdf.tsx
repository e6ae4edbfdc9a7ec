import { Document, Page, Text, View } from '@react-pdf/renderer';
import { sayFullDate } from '@/core/quantity/say-time';
import { sayKey } from '@/core/release/certificate-file';
import type { BoreFigures, Statement } from '@/core/release/statement';
import { Lines, printable, QrCode, Row, second, styles } from './pdf-kit';

type Certificate = {
  readonly number: number;
  readonly statement: Statement;
  readonly hash: string;
  readonly previousHash: string;
  readonly supersedes: number | null;
  readonly key: string | null;
};

/** The certificate: what was done and proved, what was not, who signed. Everything on it comes from the hashed statement. */
export const certificatePdf = (c: Certificate, origin: string) => {
  const s = c.statement;
  return (
    <Document title={`Certificate ${c.number}, ${s.tag}`}>
      <Page size="A4" style={styles.page}>
        <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
          <View style={{ width: '72%' }}>
            <Text style={{ fontSize: 20, fontWeight: 700, lineHeight: 1.2 }}>Certificate {c.number}</Text>
            {c.supersedes !== null && <Text style={{ color: second }}>Takes the place of certificate {c.supersedes}.</Text>}
            <Text style={{ fontSize: 12, fontWeight: 700, lineHeight: 1.3, marginTop: 6 }}>{printable(`${s.tag}   ${s.unit}`)}</Text>
            <Text>{printable(`${s.machine} · ${s.customer}`)}</Text>
            <Text style={{ color: second }}>{printable([s.complaint, s.identityMarks].filter(Boolean).join(' · '))}</Text>
            <Text>{sayFullDate(s.at)}</Text>
          </View>
          <QrCode text={`${origin}/verify/${c.number}/${c.hash}`} size={86} />
        </View>
        {s.bore !== null && (
          <View>
            <Text style={styles.head}>THE BORE</Text>
            <Row name="Nominal, material" value={`${s.bore.nominal}, ${s.bore.material}`} />
            <Row name="Before" value={figures(s.bore.before)} />
            <Row name="As released" value={figures(s.bore.after)} />
            <Row name="Limit; piston" value={`${mm(s.bore.limitDiaMm)}; ${mm(s.bore.pistonDiaMm)}`} />
            <Lines lines={s.bore.verdict} />
          </View>
        )}
        {s.work.length > 0 && (
          <View>
            <Text style={styles.head}>WORK</Text>
            <Lines lines={s.work} />
          </View>
        )}
        <Text style={styles.head}>FITTED</Text>
        <Text>{printable(s.fitted.join(' · '))}</Text>
        <Text style={{ color: second }}>{printable(s.kits.length === 0 ? 'No kit.' : `From ${s.kits.join(', ')}`)}</Text>
        <Text style={styles.head}>PROVED</Text>
        <Lines lines={s.proved.length === 0 ? ['Nothing.'] : s.proved} />
        <Text style={styles.head}>NOT PROVED</Text>
        <Lines lines={s.notProved} />
        {s.overrides.length > 0 && (
          <View>
            <Text style={styles.head}>CONDITIONS PASSED OVER</Text>
            <Lines lines={s.overrides} />
          </View>
        )}
        <Text style={styles.head}>CAUTIONS FOR FITTING</Text>
        <Lines lines={s.cautions} />
        <Text style={styles.head}>SIGNED</Text>
        {s.signatures.map((x) => (
          <Row key={x.name} name={`${x.name}, ${x.role}`} value={sayFullDate(x.at)} />
        ))}
        <View style={{ marginTop: 14, fontSize: 7, color: second }}>
          <Text>This certificate {c.hash}</Text>
          <Text>The one before {c.previousHash === '' ? 'none' : c.previousHash}</Text>
          {c.key !== null && (
            <Text>
              Signed with the shop's key {sayKey(c.key)}, which stands at {origin}/verify
            </Text>
          )}
        </View>
      </Page>
    </Document>
  );
};

const mm = (value: number | null): string => (value === null ? 'not measured' : `${value.toFixed(3)} mm`);
const figures = (f: BoreFigures | null): string =>
  f === null ? 'not gauged' : `${f.minMm.toFixed(3)} to ${f.maxMm.toFixed(3)} mm at ${f.stations} depths, ± ${f.uncertaintyMm.toFixed(3)}`;
