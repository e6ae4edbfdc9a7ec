import type { BoreOutcome } from '@/core/bore/judge';
import { laneOf } from '@/core/bore/lane';
import { MATERIAL_WORDS } from '@/core/bore/material';
import { FAMILIES } from '@/core/family/family';
import { sayDia, sayNominal } from '@/core/quantity/say';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import type { Units } from '@/core/quantity/units';
import type { Rules } from '@/core/rules/rule-set';
import { sayComplaint } from '@/core/unit/complaint';
import { currentVerdict } from '@/core/unit/facts-of';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { SectionDrawing } from '../drawing/section-drawing';
import { Tag } from '../drawing/tag';

/** What heads every page of a unit: its tag and facts, and its section to scale, as it stands now. */
export function UnitHead({
  record,
  units,
  rules,
  now,
  station,
}: {
  readonly record: UnitRecord;
  readonly units: Units;
  readonly rules: Rules;
  readonly now: number;
  readonly station: string;
}) {
  const { unit, job } = record;
  const family = FAMILIES[unit.family];
  const verdict = currentVerdict(record);
  const closing = record.steps.some((s) => s.station === 'kit') || record.tray.some((p) => p.goesIn !== null);
  const present = new Set(record.tray.filter((p) => (closing ? p.goesIn !== null : p.found === null)).map((p) => p.slotId));
  const outcomes = new Map(verdict?.answer.marks.map((m) => [m.id, m.outcome]));
  const marks = record.marks.map((m) => ({ ...m, outcome: (outcomes.get(m.name) ?? null) as BoreOutcome | null }));
  return (
    <section aria-label="Unit" className="grid gap-4 border-b border-line bg-sheet px-4 py-3 md:grid-cols-[15.5rem_1fr]">
      <div>
        <a href="#station" className="sr-only focus:not-sr-only">
          Skip to the work
        </a>
        <Tag text={tagOf(unit)} />
        <h1 className="mt-1.5 text-lg leading-tight font-bold">
          {family.label}, ⌀&nbsp;{sayNominal(unit.geometry.nominalMm)}
        </h1>
        <p className="mt-1 text-ink2">
          {job.machine}
          {unit.position === '' ? '' : `, ${unit.position}`} · {sayComplaint(job.complaints, job.complaintText) || 'no complaint'}
        </p>
        <p className="text-ink2">
          {MATERIAL_WORDS[unit.material]}
          {unit.pistonDiaMm === null ? '' : ` · piston ${sayDia(unit.pistonDiaMm, units)} ${units.length}`}
        </p>
        <p className="text-ink2">
          {unit.exit === null ? (
            <>
              promised{' '}
              <b className={unit.dueAt < now ? 'text-red' : 'text-ink'} title={sayFullDate(unit.dueAt)}>
                {sayWhen(unit.dueAt, now)}
              </b>
            </>
          ) : (
            <b className="text-ink">
              {unit.exit} {unit.exitAt === null ? '' : sayWhen(unit.exitAt, now)}
            </b>
          )}{' '}
          · {job.customer}
        </p>
      </div>
      <SectionDrawing
        family={family}
        geometry={unit.geometry}
        units={units}
        lanes={unit.geometry.seals.map((s) => laneOf(s, rules.laneMarginMm))}
        marks={['book-in', 'strip', 'close-up', 'set', 'prove', 'release'].includes(station) ? [] : marks}
        present={present}
        trayHref={['strip', 'close-up'].includes(station) ? '' : `/units/${tagOf(unit)}/strip`}
      />
    </section>
  );
}
