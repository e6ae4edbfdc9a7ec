import { openingsOf } from '@/core/finish/finish';
import { benchOf } from '@/core/unit/bench-record';
import { finishBody } from '@/core/unit/finish-body';
import { FinishFold } from '@/ui/finish/finish-fold';
import { findCuredAction, putOnFinishAction } from '../../../../actions/close-up';
import type { AtStation } from './station-page';

/** What was put on the body and cures; folded away until something does. */
export const Finishes = ({ at }: { readonly at: AtStation }) => {
  const { record } = at;
  if (!at.atWork) return null;
  return (
    <FinishFold
      target={at.target}
      finishes={benchOf(record.bench, 'finish')}
      body={finishBody(record)}
      openings={openingsOf(record.family, record.unit.geometry)}
      putOn={putOnFinishAction}
      findCured={findCuredAction}
    />
  );
};
