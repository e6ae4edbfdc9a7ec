import { join } from 'node:path';
import { Font, Path, StyleSheet, Svg, Text, View } from '@react-pdf/renderer';
import { encode } from 'uqr';

const fontFile = (weight: number): string => join(process.cwd(), `node_modules/@fontsource/b612/files/b612-latin-${weight}-normal.woff`);
Font.register({ family: 'B612', fonts: [{ src: fontFile(400) }, { src: fontFile(700), fontWeight: 700 }] });
Font.registerHyphenationCallback((word) => [word]);

/** The fonts that ship have no diameter sign; ø is what drawings use instead. */
export const printable = (text: string): string => text.replaceAll('⌀', 'ø').replaceAll('−', '-').replaceAll('≥', '>=');

export const ink = '#12181b';
/** Whose paper it is. */
export const Letterhead = ({ lines }: { readonly lines: readonly string[] }) => {
  const [name, ...rest] = lines;
  return name === undefined ? null : (
    <View style={{ marginBottom: 8 }}>
      <Text style={{ fontSize: 11, fontWeight: 700 }}>{printable(name)}</Text>
      <Text style={{ color: second }}>{printable(rest.join(' · '))}</Text>
    </View>
  );
};

export const second = '#485357';

export const styles = StyleSheet.create({
  page: { fontFamily: 'B612', fontSize: 9, color: ink, padding: 40, lineHeight: 1.4 },
  head: { fontSize: 8, fontWeight: 700, color: second, marginTop: 10, marginBottom: 3 },
  row: { flexDirection: 'row', justifyContent: 'space-between', borderBottom: `0.5pt solid #cfd6d4`, paddingVertical: 2 },
});

/** A QR code drawn as one path, sized in points. */
export function QrCode({ text, size }: { readonly text: string; readonly size: number }) {
  const { data, size: cells } = encode(text, { border: 1 });
  const path = data.flatMap((row, y) => row.flatMap((on, x) => (on ? [`M${x} ${y}h1v1h-1z`] : []))).join('');
  return (
    <Svg width={size} height={size} viewBox={`0 0 ${cells} ${cells}`}>
      <Path d={path} fill={ink} />
    </Svg>
  );
}

/** A name and what it is. */
export const Row = ({ name, value }: { readonly name: string; readonly value: string }) => (
  <View style={styles.row}>
    <Text>{printable(name)}</Text>
    <Text>{printable(value)}</Text>
  </View>
);

export const Lines = ({ lines }: { readonly lines: readonly string[] }) => (
  <View>
    {lines.map((line) => (
      <Text key={line}>{printable(line)}</Text>
    ))}
  </View>
);
