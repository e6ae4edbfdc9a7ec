import { Document, Page, Text, View } from '@react-pdf/renderer';
import { ROLE_WORDS } from '@/core/people/role';
import { fixed } from '@/core/quantity/figure';
import { sayFullDate } from '@/core/quantity/say-time';
import { sayKey } from '@/core/release/certificate-file';
import type { BoreFigures, Statement } from '@/core/release/statement';
import { Letterhead, Lines, printable, QrCode, Row, second, styles } from './pdf-kit';

type Certificate = {
  readonly number: number;
  readonly statement: Statement;
  readonly hash: string;
  readonly previousHash: string;
  readonly supersedes: number | null;
  readonly key: string | null;
};

/** The certificate: what was done and proved, what was not, who signed. Everything on it comes from the hashed statement. @param fitting address of the unit’s fitting sheet */
export const certificatePdf = (c: Certificate, origin: string, fitting: string) => {
  const s = c.statement;
  return (
    <Document title={`Certificate ${c.number}, ${s.tag}`}>
      <Page size="A4" style={styles.page}>
        <Letterhead lines={s.shop ?? []} />
        <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
          <View style={{ width: '72%' }}>
            <Text style={{ fontSize: 20, fontWeight: 700, lineHeight: 1.2 }}>Certificate {c.number}</Text>
            {c.supersedes !== null && <Text style={{ color: second }}>Takes the place of certificate {c.supersedes}.</Text>}
            <Text style={{ fontSize: 12, fontWeight: 700, lineHeight: 1.3, marginTop: 6 }}>{printable(`${s.tag}   ${s.unit}`)}</Text>
            <Text>{printable([s.machine, s.customer].filter(Boolean).join(' · '))}</Text>
            <Text style={{ color: second }}>{printable([s.complaint, s.identityMarks].filter(Boolean).join(' · '))}</Text>
            <Text>{sayFullDate(s.at)}</Text>
          </View>
          <QrCode text={`${origin}/verify/${c.number}/${c.hash}`} size={86} />
        </View>
        {(s.bore === null ? [] : [s.bore, ...(s.pots ?? [])]).map((bore) => (
          <View key={bore.name ?? ''}>
            <Text style={styles.head}>{(bore.name ?? 'The bore').toUpperCase()}</Text>
            <Row name="Nominal, material" value={`${bore.nominal}, ${bore.material}`} />
            <Row name="Before" value={figures(bore.before)} />
            <Row name="As released" value={figures(bore.after)} />
            <Row name="Limit; piston" value={`${mm(bore.limitDiaMm)}; ${pistons(bore)}`} />
            <Lines lines={bore.verdict} />
          </View>
        ))}
        {s.work.length > 0 && (
          <View>
            <Text style={styles.head}>WORK</Text>
            <Lines lines={s.work} />
          </View>
        )}
        <Text style={styles.head}>FITTED</Text>
        <Lines lines={s.fitted} />
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
        <View wrap={false} style={{ flexDirection: 'row', gap: 8, alignItems: 'center', marginTop: 4 }}>
          <QrCode text={fitting} size={52} />
          <View style={{ flex: 1 }}>
            <Text>What was set and how it is checked, filled and bled on the machine stands on its fitting sheet:</Text>
            <Text style={{ fontSize: 7, color: second }}>{fitting}</Text>
          </View>
        </View>
        <Text style={styles.head}>SIGNED</Text>
        {s.signatures.map((x) => (
          <Row key={x.name} name={`${x.name}, ${ROLE_WORDS[x.role]}`} value={sayFullDate(x.at)} />
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

const mm = (value: number | null): string => (value === null ? 'not measured' : `${fixed(value, 3)} mm`);
const pistons = (bore: NonNullable<Statement['bore']>): string =>
  (bore.pistons?.length ?? 0) > 1 ? (bore.pistons ?? []).map((p) => `${p.name} ${mm(p.diaMm)}`).join(', ') : mm(bore.pistonDiaMm);
const figures = (f: BoreFigures | null): string =>
  f === null ? 'not gauged' : `${fixed(f.minMm, 3)} to ${fixed(f.maxMm, 3)} mm at ${f.stations} depths, ± ${fixed(f.uncertaintyMm, 3)}`;
