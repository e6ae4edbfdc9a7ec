import { PART_KINDS } from '@/core/family/part-kind';
import { boreSizesMm } from '@/core/family/pots';
import { may } from '@/core/people/role';
import { guideFor } from '@/core/strip/guide';
import { bodyOffers } from '@/core/strip/stuck';
import { hungPhotos } from '@/core/unit/shown-photos';
import { FlareHelp } from '@/ui/line/flare-help';
import { UnionLeak } from '@/ui/line/union-leak';
import { Guide } from '@/ui/strip/guide';
import { StripViews } from '@/ui/strip/strip';
import { Stuck } from '@/ui/strip/stuck';
import { Tray } from '@/ui/strip/tray';
import { UnitCauses } from '@/ui/strip/unit-causes';
import { StationFrame } from '@/ui/unit/station-frame';
import { SignOffAside } from '../_station/sign-off';
import { stationPage, titled } from '../_station/station-page';

export const generateMetadata = titled('strip');

/** The sides of stripping a unit. The guide comes first while it is being done, the tray after. */
export default stationPage('strip', (at) => {
  const { record, atWork, person } = at;
  const { unit, family, tray } = record;
  const steps = guideFor(family, tray, record.ticks);
  const ticked = steps.filter((s) => record.ticks.some((t) => t.stepId === s.id)).length;
  const tries = record.treatments.filter((t) => t.state !== null).length;
  return (
    <StationFrame
      title={`STRIP · ${tray.filter((p) => p.found !== null).length} of ${tray.length} on the tray`}
      note="open end to the left, as in the drawing above"
      ledger={at.ledger}
      aside={<SignOffAside at={at} text="Strip done" />}
    >
      <StripViews
        start={atWork && ticked < steps.length ? 'guide' : 'tray'}
        views={[
          {
            id: 'guide',
            title: `Guide ${ticked} of ${steps.length}`,
            body: <Guide family={family} tray={tray} ticks={record.ticks} photos={hungPhotos(record)} />,
          },
          {
            id: 'tray',
            title: `Tray ${tray.filter((p) => p.found !== null).length} of ${tray.length}`,
            body: <Tray family={family} tray={tray} photos={hungPhotos(record)} />,
          },
          ...(unit.geometry === null || family.bore === 'none'
            ? []
            : [
                {
                  id: 'stuck',
                  title: tries === 0 ? 'Stuck' : `Stuck · tried ${tries}`,
                  body: (
                    <Stuck
                      body={{
                        boreMm: Math.min(...boreSizesMm(unit)),
                        pots: boreSizesMm(unit).length,
                        bore: family.bore,
                        material: unit.material,
                        ...bodyOffers(family),
                        plasticOrRubber: tray.some((p) => p.found === null && PART_KINDS[p.kind].stuff !== 'metal'),
                      }}
                      treatments={record.treatments}
                    />
                  ),
                },
              ]),
          ...(family.name === 'hard-line'
            ? [
                {
                  id: 'unions',
                  title: 'Flares and unions',
                  body: (
                    <>
                      <FlareHelp open />
                      <UnionLeak />
                    </>
                  ),
                },
              ]
            : []),
          {
            id: 'causes',
            title: 'Likely causes',
            body: <UnitCauses open={may(person.role, 'book-in')} />,
          },
        ]}
      />
    </StationFrame>
  );
});
