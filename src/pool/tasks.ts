import { renderToBuffer } from '@react-pdf/renderer';
import sharp from 'sharp';
import { computeText } from '@/core/api/compute-text';
import { comebacks } from '@/core/book/comebacks';
import { limitsTried } from '@/core/book/limits-tried';
import { keepPlan, worthier } from '@/core/day/keep';
import { type Schedule, type ScheduledOp, schedule } from '@/core/day/schedule';
import type { ScheduleRequest } from '@/core/day/schedule-schema';
import type { Geometry } from '@/core/family/geometry';
import { coverSets } from '@/core/kit/cover-sets';
import type { Need, Store } from '@/core/kit/need';
import { promised } from '@/core/plan/promise';
import type { RunStep } from '@/core/prove/programme/step';
import type { RigSample } from '@/core/prove/rig-sample';
import { analyseRun, type RunAnalysis, type RunContext } from '@/core/prove/run-analysis';
import { type Rules, STANDARD_RULES } from '@/core/rules/rule-set';
import type { UnitRecord } from '@/core/unit/unit-record';
import { readBytes } from '@/csv/read-bytes';
import { type Line, writeTable } from '@/csv/read-table';
import type { StoreFile } from '@/csv/store-files';
import { writeXlsx } from '@/csv/xlsx';
import { billPdf } from '@/papers/bill-pdf';
import { boreMapSvg, profileSvg } from '@/papers/bore-svg';
import { certificatePdf } from '@/papers/certificate-pdf';
import { daySheetPdf } from '@/papers/day-sheet-pdf';
import { fittingSheetPdf } from '@/papers/fitting-sheet-pdf';
import { labelPdf } from '@/papers/label-pdf';
import { quotePdf } from '@/papers/quote-pdf';
import { type SectionFile, sectionSvg } from '@/papers/section-svg';
import { ticketPdf } from '@/papers/ticket-pdf';
import { travellerPdf } from '@/papers/traveller-pdf';
import { verdictPdf } from '@/papers/verdict-pdf';
import { unzipPhotos } from './unzip-photos';

/** Dots an inch of a drawing as a picture, on its own and on a paper, where it is drawn smaller: its finest lines are still told apart. */
const DPI = { own: 200, paper: 150 };

/** An SVG drawing as a picture on the light sheet. */
const pngOf = (svg: string, dpi: number): Promise<Buffer> =>
  sharp(Buffer.from(svg), { density: dpi }).flatten({ background: '#f8faf9' }).png().toBuffer();

type Map = { readonly record: UnitRecord; readonly geometry: Geometry; readonly rules: Rules };
export type DrawingKind = 'svg' | 'png';
const asFile = async (svg: Promise<string>, kind: DrawingKind): Promise<string | Uint8Array> =>
  kind === 'svg' ? svg : pngOf(await svg, DPI.own);

/** A plan of what is asked, or the one that people go by where that is as good. */
const planned = ({ request, before }: { readonly request: ScheduleRequest; readonly before: readonly ScheduledOp[] | null }): Schedule => {
  const fresh = schedule(request, STANDARD_RULES);
  return before === null ? fresh : worthier(keepPlan(request, before), fresh);
};

/** A table to be written as a file. */
type Sheet = { readonly name: string; readonly columns: readonly string[]; readonly rows: readonly Line[] };

/** Everything that may take longer than a page may wait, by its name. Each runs in a thread of the pool: what goes in and comes out is copied. */
export const TASKS = {
  compute: (c: { readonly name: string; readonly body: Uint8Array; readonly rules: Rules }) => computeText(c.name, c.body, c.rules),
  'cover-sets': (c: { readonly needs: readonly Need[]; readonly store: Store }) => coverSets(c.needs, c.store),
  'analyse-run': (r: {
    readonly step: RunStep;
    readonly samples: readonly RigSample[];
    readonly context: RunContext;
  }): RunAnalysis | null => analyseRun(r.step, r.samples, r.context) ?? null,
  plan: planned,
  'keep-plan': ({ request, before }: { readonly request: ScheduleRequest; readonly before: readonly ScheduledOp[] }) =>
    keepPlan(request, before),
  promise: (p: Parameters<typeof promised>) => promised(...p),
  'read-file': (f: { readonly what: StoreFile; readonly bytes: Uint8Array }) => readBytes(f.what, f.bytes),
  'unzip-photos': (z: { readonly bytes: Uint8Array }) => unzipPhotos(z.bytes),
  'write-csv': (f: Sheet) => writeTable(f.columns, f.rows),
  'write-xlsx': (f: Sheet) => writeXlsx(f.name, f.columns, f.rows),
  comebacks: (request: Parameters<typeof comebacks>[0]) => comebacks(request),
  'limits-tried': (t: Parameters<typeof limitsTried>) => limitsTried(...t),
  section: ({ kind, ...section }: SectionFile & { readonly kind: DrawingKind }) => asFile(sectionSvg(section), kind),
  'bore-map': ({ record, geometry, rules, kind }: Map & { readonly kind: DrawingKind }) =>
    asFile(boreMapSvg(record, geometry, rules), kind),
  certificate: (c: Parameters<typeof certificatePdf>) => renderToBuffer(certificatePdf(...c)),
  'day-sheet': (d: Parameters<typeof daySheetPdf>) => renderToBuffer(daySheetPdf(...d)),
  bill: (b: Parameters<typeof billPdf>) => renderToBuffer(billPdf(...b)),
  quote: (q: Parameters<typeof quotePdf>) => renderToBuffer(quotePdf(...q)),
  'fitting-sheet': (f: Parameters<typeof fittingSheetPdf>) => renderToBuffer(fittingSheetPdf(...f)),
  label: (l: Parameters<typeof labelPdf>) => renderToBuffer(labelPdf(...l)),
  ticket: (t: Parameters<typeof ticketPdf>) => renderToBuffer(ticketPdf(...t)),
  traveller: async (t: {
    readonly sheet: Parameters<typeof travellerPdf>[0];
    readonly section: SectionFile | null;
    readonly paper: Omit<Parameters<typeof travellerPdf>[1], 'section'>;
  }) => {
    const section = t.section === null ? null : await pngOf(await sectionSvg(t.section), DPI.paper);
    return renderToBuffer(travellerPdf(t.sheet, { ...t.paper, section }));
  },
  verdict: async ({
    sheet,
    record,
    geometry,
    rules,
  }: Map & { readonly sheet: Omit<Parameters<typeof verdictPdf>[0], 'map' | 'profile'> }) => {
    const profile = await profileSvg(record, geometry, rules);
    const map = await pngOf(await boreMapSvg(record, geometry, rules), DPI.paper);
    return renderToBuffer(verdictPdf({ ...sheet, map, profile: profile === undefined ? null : await pngOf(profile, DPI.paper) }));
  },
} as const;
