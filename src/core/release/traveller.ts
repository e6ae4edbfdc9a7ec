import { sayComplaint } from '../book-in/complaint';
import { capital } from '../capital';
import { partFacing } from '../family/family';
import { MATERIAL_WORDS } from '../family/material';
import { sayDoing, sayStep } from '../prove/programme/say-step';
import { sayDia } from '../quantity/say';
import { sayFullDate } from '../quantity/say-time';
import { METRIC } from '../quantity/units';
import { cautionsAt } from '../route/cautions';
import { type Stop, saySkip } from '../route/route';
import { sayWhyNot } from '../route/why-not';
import { STATION_WORDS } from '../station';
import { boresOf } from '../unit/bores';
import { currentVerdict, routeOfUnit } from '../unit/facts-of';
import { provingOf } from '../unit/proving';
import { sayUnit, tagOf, type UnitRecord } from '../unit/unit-record';

/** A box to tick by hand is open, ticked already, or none: the unit does not go there. */
export type Tick = 'done' | 'open' | 'none';
export type TravellerRow = { readonly tick: Tick; readonly name: string; readonly text: string };

/** The sheet that travels with a unit: what it is, its route, its tray and its programme, as far as they are known when it is printed. */
export type Traveller = {
  readonly tag: string;
  readonly unit: string;
  readonly lines: readonly string[];
  readonly route: readonly TravellerRow[];
  readonly tray: readonly TravellerRow[];
  readonly proving: readonly TravellerRow[];
  readonly cautions: readonly string[];
};

/** The traveller of a unit as it stands, in metric. */
export const travellerOf = (r: UnitRecord): Traveller => {
  const { unit, job, family } = r;
  const running = r.timers.filter((t) => t.doneAt === null);
  return {
    tag: tagOf(unit),
    unit: `${sayUnit(r)}${unit.position === '' ? '' : `, ${unit.position}`}`,
    lines: [
      `${job.machine} · ${job.customer} · ${sayComplaint(unit.complaints, unit.complaintText) || 'no complaint'}`,
      [family.bore === 'none' ? '' : MATERIAL_WORDS[unit.material], unit.identityMarks === '' ? '' : `marks ${unit.identityMarks}`]
        .filter(Boolean)
        .join(' · '),
      `Promised ${sayFullDate(unit.dueAt)}`,
      ...boresOf(r).flatMap(({ name, record }) => {
        const verdict = currentVerdict(record)?.answer;
        const to = verdict?.targetDiaMm == null ? '' : ` to ${sayDia(verdict.targetDiaMm, METRIC)} mm`;
        const called = unit.morePots.length === 0 ? 'Bore' : capital(name);
        return verdict === undefined ? [] : [`${called}: ${verdict.outcome}${to}, limit ${sayDia(verdict.limitDiaMm, METRIC)} mm`];
      }),
      ...running.map((t) => `Waits: ${t.label}, until ${sayFullDate(t.endsAt)}`),
    ].filter(Boolean),
    route: routeOfUnit(r).map(routeRow),
    tray: r.tray.map((p): TravellerRow => {
      const facing = partFacing(family, p);
      return {
        tick: p.found === 'absent' && p.goesIn === null ? 'none' : p.goesIn !== null ? 'done' : 'open',
        name: `${p.name}${p.qty > 1 ? ` × ${p.qty}` : ''}`,
        text: [
          p.found === 'absent' ? 'none came out' : (p.condition ?? ''),
          p.fate ?? '',
          facing === undefined ? '' : `lip to the ${facing} end`,
          p.note,
        ]
          .filter(Boolean)
          .join(', '),
      };
    }),
    proving: provingOf(r).map(
      ({ step, stands }): TravellerRow => ({
        tick: stands === 'pass' ? 'done' : 'open',
        name: `${sayStep(step, METRIC)}${step.need === 'may' ? ' (optional)' : ''}`,
        text: stands === 'fail' ? `failed. ${step.means}` : sayDoing(step, METRIC),
      }),
    ),
    cautions: [...new Set((['strip', 'prove'] as const).flatMap((s) => cautionsAt(s, family)))],
  };
};

const routeRow = (stop: Stop): TravellerRow => {
  const name = STATION_WORDS[stop.station];
  switch (stop.state) {
    case 'done':
      return { tick: 'done', name, text: '' };
    case 'skipped':
      return { tick: 'none', name, text: saySkip(stop.because) };
    case 'now':
      return { tick: 'open', name, text: stop.why.map(sayWhyNot).join(' ') };
    case 'ahead':
      return { tick: 'open', name, text: '' };
  }
};
