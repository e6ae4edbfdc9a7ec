'use client';

import type { ComponentProps } from 'react';
import { sayDia } from '@/core/quantity/say';
import { late } from '../shell/late';
import { Fold } from '../unit/fold';
import type { MakersLimitForm } from './makers-limit-form';
import type { OverruleForm } from './overrule-form';

const Overrule = late(async () => (await import('./overrule-form')).OverruleForm);
const MakersLimit = late(async () => (await import('./makers-limit-form')).MakersLimitForm);

export const OverruleBox = (props: ComponentProps<typeof OverruleForm>) => (
  <Fold title="As lead: decide otherwise">
    <Overrule {...props} />
  </Fold>
);

export const MakersLimitBox = (props: ComponentProps<typeof MakersLimitForm>) => (
  <Fold
    title={props.limit === null ? 'Maker’s limit' : `Maker’s limit: ${sayDia(props.limit.maxDiaMm, props.units)} ${props.units.length}`}
  >
    <MakersLimit {...props} />
  </Fold>
);
