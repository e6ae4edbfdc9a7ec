import { Document, G, Page, Rect, Line as Stroke, Svg, Text, View } from '@react-pdf/renderer';
import { FLARES } from '@/core/line/flare';
import type { Line } from '@/core/line/line';
import type { LineSheet } from '@/core/line/line-sheet';
import { type TicketPiece, ticketMarks, ticketPieces } from '@/core/line/ticket';
import { fixed, plain, rewritten } from '@/core/quantity/figure';
import { ink, printable, second, styles } from './pdf-kit';

/** A millimetre on paper, in points. */
const MM = 72 / 25.4;
/** Of the tube on a line of the paper, and beside it, mm. */
const [PIECE_MM, SIDE_MM] = [150, 8];
/** Labels nearer than this stand on rows of their own, mm. */
const NEAR_MM = 26;

/** The cutting ticket of a tube, in true scale: laid beside the tube, or round it, its marks are where the paper’s are. */
export const ticketPdf = (sheet: LineSheet, line: Line) => {
  const marks = ticketMarks(sheet, line);
  return (
    <Document title={`Tube, ${fixed(line.cutMm, 1)} mm`}>
      <Page size="A4" style={{ ...styles.page, paddingHorizontal: 45 }}>
        <Text style={{ fontSize: 20, fontWeight: 700, lineHeight: 1.2 }}>{`Cut ${fixed(line.cutMm, 1)} mm`}</Text>
        <Text>
          {printable(
            `Tube ⌀ ${plain(sheet.tubeOdMm)} mm. ${sheet.ends.map((e, i) => `${i === 0 ? 'Start' : 'End'}: ${FLARES[e.flare].label}${e.nut === '' ? '' : `, nut ${e.nut}`}`).join('. ')}.`,
          )}
        </Text>
        <Ruler />
        {ticketPieces(marks, line.cutMm, PIECE_MM).map((piece, i, all) => (
          <Piece key={piece.fromMm} piece={piece} joint={[i === 0 ? null : i, i === all.length - 1 ? null : i + 1]} />
        ))}
        {line.warnings.map((w) => (
          <Text key={w.text} style={{ marginTop: 3 }}>
            {printable(rewritten(w.text))}
          </Text>
        ))}
        <Text style={{ marginTop: 6, color: second }}>
          Nuts on before the second end is flared. Bends start at their mark by the shop’s bender: try it on a scrap piece.
        </Text>
      </Page>
    </Document>
  );
};

/** What shows that the printer has not shrunk it. */
const Ruler = () => (
  <View style={{ marginTop: 8 }} wrap={false}>
    <Svg width={110 * MM} height={5 * MM} viewBox="0 0 110 5">
      <Stroke x1={2} y1={1} x2={102} y2={1} stroke={ink} strokeWidth={0.25} />
      {Array.from({ length: 11 }, (_, i) => (
        <Stroke key={i} x1={2 + 10 * i} y1={0.5} x2={2 + 10 * i} y2={i % 5 === 0 ? 4 : 2.5} stroke={ink} strokeWidth={0.25} />
      ))}
    </Svg>
    <Text style={{ fontSize: 8 }}>Lay a ruler on it: 100 mm from end to end. If not, print it again without fitting it to the page.</Text>
  </View>
);

/** A stretch of the tube. @param joint numbers of the joints at its ends; null where the tube ends there */
const Piece = ({ piece, joint }: { readonly piece: TicketPiece; readonly joint: readonly [number | null, number | null] }) => {
  const xOf = (mm: number): number => SIDE_MM + mm - piece.fromMm;
  const taken: number[] = [];
  const rows = piece.marks.map((m) => {
    const free = taken.findIndex((x) => m.atMm - x >= NEAR_MM);
    const row = free === -1 ? taken.length : free;
    taken[row] = m.atMm;
    return row;
  });
  const height = 17 + 6.5 * taken.length;
  // Room for the words of a mark at its end.
  const width = PIECE_MM + 3 * SIDE_MM;
  return (
    <View style={{ marginTop: 4 }} wrap={false}>
      <Svg width={width * MM} height={height * MM} viewBox={`0 0 ${width} ${height}`}>
        <Rect x={SIDE_MM} y={3} width={piece.toMm - piece.fromMm} height={5} fill="none" stroke={ink} strokeWidth={0.25} />
        {Array.from({ length: Math.floor((piece.toMm - piece.fromMm) / 10) + 1 }, (_, i) => (
          <Stroke key={i} x1={SIDE_MM + 10 * i} y1={8} x2={SIDE_MM + 10 * i} y2={9.5} stroke={second} strokeWidth={0.15} />
        ))}
        {joint.map(
          (no, end) =>
            no !== null && (
              <Text
                key={end}
                x={end === 0 ? 0 : SIDE_MM + PIECE_MM + 1.5}
                y={7}
                style={{ fontFamily: 'B612', fontSize: 3.2, fontWeight: 700 }}
              >
                {`>${no}<`}
              </Text>
            ),
        )}
        {piece.marks.map((m, i) => {
          const [x, y] = [xOf(m.atMm), 14 + 6.5 * (rows[i] ?? 0)];
          return (
            <G key={`${m.atMm} ${m.what}`}>
              <Stroke x1={x} y1={1} x2={x} y2={y - 2.6} stroke={ink} strokeWidth={m.of === 'end' ? 0.5 : 0.25} />
              <Text x={x + 0.8} y={y} style={{ fontFamily: 'B612', fontSize: 2.9, fontWeight: 700 }}>
                {fixed(m.atMm, 1)}
              </Text>
              <Text x={x + 0.8} y={y + 2.9} style={{ fontFamily: 'B612', fontSize: 2.4 }}>
                {printable(m.what)}
              </Text>
            </G>
          );
        })}
      </Svg>
    </View>
  );
};
