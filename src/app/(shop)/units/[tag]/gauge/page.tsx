import { suggestDepths } from '@/core/gauge/suggest-grid';
import { may } from '@/core/people/role';
import { sayDia } from '@/core/quantity/say';
import { gaugedSets, gaugingToGoOn } from '@/core/unit/gauged-before';
import { tagOf } from '@/core/unit/unit-record';
import { theDb } from '@/db/engine/connection';
import { instruments } from '@/db/gauge/instruments';
import { Gauge } from '@/ui/gauge/gauge';
import { goOnDepths } from '@/ui/gauge/go-on';
import { Go } from '@/ui/shell/go';
import { checkRingAction, saveGaugingAction } from '../../../../actions/gauge';
import { NoBore } from '../_station/no-bore';
import { NotNow } from '../_station/not-now';
import { type AtStation, stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('gauge');

export default stationPage('gauge', async (at) => {
  const { unit, gaugings } = at.record;
  if (unit.geometry === null) return <NoBore ledger={at.ledger} />;
  return (
    <Gauge
      key={gaugings.length}
      target={at.target}
      tag={tagOf(unit)}
      depths={suggestDepths(unit.geometry, at.rules)}
      material={unit.material}
      bore={unit.geometry}
      taken={gaugings.findLast((g) => g.readings.length > 0)}
      last={gaugingToGoOn(at.record)}
      goOnAt={goOnDepths(at.asked['go-on'], unit.geometry.lengthMm)}
      units={at.units}
      rules={at.rules}
      instruments={await instruments(await theDb())}
      earlier={gaugedSets(at.record, at.rules)}
      mayOverride={may(at.person.role, 'override')}
      now={at.now}
      checkRing={checkRingAction}
      save={saveGaugingAction}
      turn={!at.atWork ? 'closed' : at.stop?.state === 'now' ? 'now' : 'more'}
      ledger={
        <>
          {at.atWork && at.stop?.state === 'done' ? <ToJudge tag={tagOf(unit)} /> : <NotNow stop={at.stop} />}
          <EarlierGaugings at={at} />
          {at.ledger}
        </>
      }
    />
  );
});

/** Gauged and saved: the verdict is next, and more can be gauged until it is signed off. */
const ToJudge = ({ tag }: { readonly tag: string }) => (
  <div className="mb-4 border-l-4 border-line pl-3">
    <p className="mb-2 text-ink2">Signed off. More can be gauged until it is judged.</p>
    <Go className="btn" href={`/units/${tag}/judge`}>
      Next: Judge
    </Go>
  </div>
);

function EarlierGaugings({ at: { record, units } }: { readonly at: AtStation }) {
  const earlier = record.gaugings.filter((g) => g.readings.length > 0);
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
