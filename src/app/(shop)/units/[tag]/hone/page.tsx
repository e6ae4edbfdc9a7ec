import { laneOf } from '@/core/family/lane';
import { startDiaOf } from '@/core/hone/start-dia';
import { currentVerdict } from '@/core/unit/facts-of';
import { lastCut } from '@/core/unit/last-cut';
import { theDb } from '@/db/engine/connection';
import { ratesFor } from '@/db/hone/hone';
import { CompareCut } from '@/ui/hone/compare-cut';
import { Hone } from '@/ui/hone/hone';
import { Polish } from '@/ui/hone/polish';
import { StationFrame } from '@/ui/unit/station-frame';
import { NotNow } from '../_station/not-now';
import { SignOff } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('hone');

export default stationPage('hone', async (at) => {
  const { bore: record, rules } = at;
  const { unit, family } = record;
  const answer = currentVerdict(record)?.answer;
  const startDiaMm = answer === undefined ? null : startDiaOf(answer);
  const passes = record.passes.filter((p) => p.at >= unit.boreChangedAt);
  const ledger = (
    <>
      <NotNow stop={at.stop} />
      {at.ledger}
    </>
  );
  const cut = lastCut(record, rules);
  if (answer?.outcome === 'polish')
    return (
      <Polish
        stockUm={rules.polishStockUm}
        startDiaMm={startDiaMm}
        material={unit.material}
        passes={passes}
        signOff={<SignOff at={at} text="Polished and washed" />}
        ledger={ledger}
      />
    );
  if (answer?.outcome !== 'hone' || answer.targetDiaMm === null || startDiaMm === null || unit.geometry === null)
    return (
      <StationFrame title="HONE" ledger={ledger}>
        <p className="border border-dashed border-line p-8 text-center text-ink2">
          Nothing is to be cut as the bore stands: it is judged first, and the judgement names the target.
        </p>
        {cut !== undefined && unit.geometry !== null && (
          <CompareCut
            bore={{
              stations: cut.before,
              lengthMm: unit.geometry.lengthMm,
              lanes: unit.geometry.seals.map((s) => laneOf(s, rules.laneMarginMm)),
              blindEnd: family.bore === 'blind',
              material: unit.material,
            }}
            passes={cut.passes}
            measured={cut.after}
          />
        )}
      </StationFrame>
    );
  return (
    <Hone
      key={at.pot}
      bore={{
        startDiaMm,
        targetDiaMm: answer.targetDiaMm,
        limitDiaMm: answer.limitDiaMm,
        material: unit.material,
        boreLengthMm: unit.geometry.lengthMm,
        stations: answer.gauge?.stations ?? [],
        lanes: answer.lanes,
        uncertaintyMm: answer.gauge?.expandedUncertaintyMm ?? 0,
        blindEnd: family.bore === 'blind',
      }}
      passes={passes}
      rates={await ratesFor(await theDb(), unit.material, unit.id, at.pot)}
      ledger={ledger}
    />
  );
});
