import type { FittingSheet } from '@/core/fitting-sheet/fitting-sheet';
import { IMPERIAL, METRIC } from '@/core/quantity/units';
import { GapWorksheet } from '../set/gap-worksheet';
import { UnitsProvider } from '../shell/units-context';
import { Letterhead } from '../shop/letterhead';

/** The fitting sheet as a fitter reads it, in mm or inches. */
export function FittingPage({
  letterhead,
  sheet,
  address,
  units,
}: {
  readonly letterhead: readonly string[];
  readonly sheet: FittingSheet;
  readonly address: string;
  readonly units: 'mm' | 'in';
}) {
  return (
    <article className="grid gap-4">
      <Letterhead lines={letterhead} />
      <div>
        <h1 className="text-xl font-bold">
          Fitting sheet {sheet.tag}: {sheet.unit}
        </h1>
        {sheet.fitment !== null && <p className="text-ink2">{sheet.fitment}</p>}
      </div>
      <p
        role="status"
        className={`border-l-4 px-3 py-2 ${sheet.may.kind === 'fit' ? 'border-act bg-tint2' : 'border-red bg-sheet font-bold'}`}
      >
        {sheet.may.words}
      </p>
      <nav aria-label="Units" className="flex flex-wrap gap-x-5 print:hidden">
        {(['mm', 'in'] as const).map((u) => (
          <a
            key={u}
            href={`${address}?units=${u}`}
            aria-current={u === units ? 'page' : undefined}
            className={`inline-flex min-h-[44px] items-center font-bold ${u === units ? 'text-ink' : 'text-act'}`}
          >
            {u === 'mm' ? 'in millimetres' : 'in inches'}
          </a>
        ))}
        <a href={`${address}/fitting.pdf?units=${units}`} className="inline-flex min-h-[44px] items-center font-bold text-act">
          On paper (PDF)
        </a>
        <a href={`/units/${sheet.tag}`} className="inline-flex min-h-[44px] items-center font-bold text-act">
          For the shop: {sheet.tag}
        </a>
      </nav>
      {sheet.sections.map((s) => (
        <section key={s.head} aria-label={s.head} className="border border-line bg-sheet px-3 py-2">
          <h2 className="mb-1 font-bold">{s.head}</h2>
          {s.lines.map((l) => (
            <p key={l} className="border-b border-hair py-1 last:border-b-0">
              {l}
            </p>
          ))}
        </section>
      ))}
      {sheet.worksheet !== null && (
        <details className="border border-line bg-sheet px-3 py-2">
          <summary className="min-h-[44px] cursor-pointer font-bold text-act">The worksheet of the gap: put in what you measure</summary>
          <UnitsProvider units={units === 'in' ? IMPERIAL : METRIC}>
            <GapWorksheet start={sheet.worksheet.start} rules={sheet.worksheet.rules} />
          </UnitsProvider>
        </details>
      )}
    </article>
  );
}
