import { renderSVG } from 'uqr';
import { sayDate } from '@/core/quantity/say-time';
import { sayUnit, tagOf, type UnitRecord } from '@/core/unit/unit-record';

/** What stands on a label: the tag, what it is, whose, until when; and as a QR code the address of its fitting sheet, which names its tag. */
export const labelLines = (r: UnitRecord): readonly string[] => [
  sayUnit(r),
  `${r.job.machine}${r.unit.position === '' ? '' : `, ${r.unit.position}`}`,
  r.job.customer,
  `promised ${sayDate(r.unit.dueAt)}`,
];

export const unitAddress = (r: UnitRecord, origin: string): string => `${origin}/units/${tagOf(r.unit)}`;

/** The page of a unit's fitting sheet, open without sign-in. @param key what it ends in */
export const fittingAddress = (r: Pick<UnitRecord, 'unit'>, key: string, origin: string): string =>
  `${origin}/fitting/${tagOf(r.unit)}/${key}`;

/** The label as an SVG, 68 × 30 mm. @param address of its fitting sheet */
export const labelSvg = (r: UnitRecord, address: string): string => {
  const qr = renderSVG(address, { border: 1 }).replace('<svg ', '<svg x="1" y="1" width="28" height="28" ');
  const lines = labelLines(r).map((line, i) => `<text x="31" y="${15 + i * 4}" font-size="2.9">${escapeXml(line.slice(0, 34))}</text>`);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="68mm" height="30mm" viewBox="0 0 68 30" font-family="B612, sans-serif"><rect width="68" height="30" fill="#fff"/>${qr}<text x="31" y="9" font-size="7" font-weight="700">${escapeXml(tagOf(r.unit))}</text>${lines.join('')}</svg>`;
};

const escapeXml = (text: string): string => text.replace(/[<>&"']/g, (c) => `&#${c.charCodeAt(0)};`);
