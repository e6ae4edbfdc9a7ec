'use client';

import { late } from '../shell/late';
import { Fold } from './fold';
import type { LeadProps } from './lead-form';

const LeadForm = late(async () => (await import('./lead-form')).LeadForm);

export const LeadBox = (props: LeadProps) => (
  <Fold title="As lead: reopen, scrap, hand back">
    <LeadForm {...props} />
  </Fold>
);
