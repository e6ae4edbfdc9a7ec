import type { Instrument } from '@/core/gauge/instrument';
import { suggestDepths } from '@/core/gauge/suggest-grid';
import { goOnDepths } from '@/core/judge/go-on';
import { sayDia } from '@/core/quantity/say';
import { type Branch, branchOf } from '@/core/shop/branch';
import { gaugedSets, gaugingToGoOn } from '@/core/unit/gauged-before';
import { isToDo, potToDo } from '@/core/unit/pot-to-do';
import type { Unit } from '@/core/unit/unit-record';
import { theDb } from '@/db/engine/connection';
import { instruments } from '@/db/gauge/instruments';
import { Gauge } from '@/ui/gauge/gauge';
import { NoBore } from '../_station/no-bore';
import { NotNow } from '../_station/not-now';
import { type AtStation, stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('gauge');

export default stationPage('gauge', async (at) => {
  const { unit, gaugings } = at.bore;
  if (unit.geometry === null) return <NoBore ledger={at.ledger} />;
  return (
    <Gauge
      key={`${at.pot} ${gaugings.length}`}
      depths={suggestDepths(unit.geometry, at.rules)}
      material={unit.material}
      bore={unit.geometry}
      gaugings={{
        taken: gaugings.findLast((g) => g.readings.length > 0),
        last: gaugingToGoOn(at.bore),
        goOnAt: goOnDepths(at.asked['go-on'], unit.geometry.lengthMm),
        turn: !at.atWork
          ? 'closed'
          : at.stop?.state === 'now' && (isToDo(at.bore, 'gauge') || potToDo(at.record, 'gauge') === undefined)
            ? 'now'
            : 'more',
      }}
      instruments={gaugesAt(await instruments(await theDb()), unit, at.branches)}
      earlier={gaugedSets(at.bore, at.rules)}
      ledger={
        <>
          {at.atWork && at.stop?.state === 'done' ? (
            <p className="mb-4 border-l-4 border-line pl-3 text-ink2">Signed off. More can be gauged until it is judged.</p>
          ) : (
            <NotNow stop={at.stop} />
          )}
          <EarlierGaugings at={at} />
          {at.ledger}
        </>
      }
    />
  );
});

/** Those of the branch that the unit is at. */
const gaugesAt = (all: readonly Instrument[], unit: Unit, branches: readonly Branch[]): readonly Instrument[] =>
  all.filter((i) => branchOf(branches, i.branch)?.id === branchOf(branches, unit.branch)?.id);

function EarlierGaugings({ at: { bore, units } }: { readonly at: AtStation }) {
  const earlier = bore.gaugings.filter((g) => g.readings.length > 0);
  if (earlier.length === 0) return null;
  return (
    <section className="mb-4">
      <h2 className="head mb-1">GAUGED BEFORE</h2>
      {earlier.map((g) => (
        <p key={g.id} className="text-ink2">
          {g.readings.length} readings, {sayDia(Math.min(...g.readings.map((r) => r.diaMm)), units)} to{' '}
          {sayDia(Math.max(...g.readings.map((r) => r.diaMm)), units)} {units.length}
        </p>
      ))}
    </section>
  );
}
