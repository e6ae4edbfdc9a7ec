import { benchFill } from '@/core/prove/programme/fill-strokes';
import { WET_NAMES, type Wet } from '@/core/prove/programme/seen';
import { isRunStep } from '@/core/prove/programme/step';
import { type Suspect, suspectsOf } from '@/core/prove/programme/suspects';
import { isMaster } from '@/core/prove/programme/usual';
import { newestStand, nextStep, openStanding, provableSince, provingOf, type StepStand } from '@/core/unit/proving';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Db, theDb } from '@/db/engine/connection';
import { earlierRuns, newestRunOf } from '@/db/prove/prove';
import { rigQueued } from '@/db/prove/rig-queue';
import { among } from '@/db/rack/at-branch';
import { Booster } from '@/ui/pedal-end/booster';
import { Prove, type ShownRun } from '@/ui/prove/prove';
import { StationFrame } from '@/ui/unit/station-frame';
import { rigBranch } from '../../../../_server/rig-branch';
import { NotNow } from '../_station/not-now';
import { SignOff, SignOffAside } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('prove');

export default stationPage('prove', async (at) => {
  const { record } = at;
  const { unit, family, runs, programme } = record;
  if (family.proof === 'by-hand')
    return (
      <StationFrame title="PROVE · by hand" ledger={at.ledger} aside={<SignOffAside at={at} text="Proved by hand" />}>
        <Booster bench={record.bench} />
      </StationFrame>
    );
  const db = await theDb();
  const stands = provingOf(record);
  const next = nextStep(stands);
  const here = stands.find((s) => s.step.id === at.asked.step) ?? next ?? newestStand(stands) ?? stands[0];
  const since = provableSince(record) ?? at.now;
  return (
    <Prove
      family={family.name}
      programme={{ version: programme.version }}
      stands={stands}
      lookedAt={{
        here,
        shown: here === undefined ? undefined : await shownRun(db, record, here),
        boreMm: isMaster(family) ? (unit.geometry?.nominalMm ?? null) : null,
        fill: here?.step.kind === 'bench-fill' && unit.geometry !== null ? benchFill(family, unit.geometry) : undefined,
        failed: here?.stands === 'fail' ? { byWet: byWet(record, here), wet: here.wet } : undefined,
        standing: here === undefined ? undefined : openStanding(record, here.step.id),
        photos: record.photos.filter((p) => p.onKind === 'proof' && p.onId === here?.step.id && p.at >= since),
      }}
      next={next}
      runs={runs}
      queue={await rigQueued(db, among(await rigBranch(), at.branches))}
      ledger={
        <>
          <NotNow stop={at.stop} />
          {at.ledger}
        </>
      }
    >
      {at.atWork && <SignOff at={at} text="Proved" />}
    </Prove>
  );
});

/** The newest run of the step that is looked at. */
const shownRun = async (db: Db, record: UnitRecord, { step }: StepStand): Promise<ShownRun | undefined> => {
  const run = isRunStep(step) ? await newestRunOf(db, record, step.id) : undefined;
  if (run === undefined || run.samples.length === 0) return undefined;
  const { id, step: asRun, because, startedAt, samples, analysis } = run;
  const of = startedAt >= (provableSince(record) ?? Number.POSITIVE_INFINITY) ? 'now' : 'before';
  return { id, of, step: asRun, because, samples, analysis, earlier: await earlierRuns(db, run) };
};

const byWet = ({ family }: UnitRecord, { step }: StepStand): { readonly [W in Wet | 'unsaid']: readonly Suspect[] } => {
  const said = Object.fromEntries(WET_NAMES.map((w) => [w, suspectsOf(family, step, w)])) as { readonly [W in Wet]: readonly Suspect[] };
  return { ...said, unsaid: suspectsOf(family, step, null) };
};
