'use client';

import type { ComponentProps } from 'react';
import { sayDia } from '@/core/quantity/say';
import { late } from '../shell/late';
import { useUnits } from '../shell/units-context';
import { Fold } from '../unit/fold';
import type { MakersLimitForm } from './makers-limit-form';

const Overrule = late(async () => (await import('./overrule-form')).OverruleForm);
const MakersLimit = late(async () => (await import('./makers-limit-form')).MakersLimitForm);

export const OverruleBox = () => (
  <Fold title="As lead: decide otherwise">
    <Overrule />
  </Fold>
);

export const MakersLimitBox = (props: ComponentProps<typeof MakersLimitForm>) => {
  const units = useUnits();
  return (
    <Fold title={props.limit === null ? 'Maker’s limit' : `Maker’s limit: ${sayDia(props.limit.maxDiaMm, units)} ${units.length}`}>
      <MakersLimit {...props} />
    </Fold>
  );
};
