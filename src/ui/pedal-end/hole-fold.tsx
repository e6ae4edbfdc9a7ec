'use client';

import type { ComponentProps } from 'react';
import { late } from '../shell/late';
import { Fold } from '../unit/fold';
import type { HoleRecord as Box } from './hole-record';

const HoleRecord = late<ComponentProps<typeof Box>>(async () => (await import('./hole-record')).HoleRecord);

export const HoleFold = (props: ComponentProps<typeof Box>) => (
  <Fold title={`Worn holes and pins${props.saved.length === 0 ? '' : `, ${props.saved.length} noted`}`}>
    <HoleRecord {...props} />
  </Fold>
);
