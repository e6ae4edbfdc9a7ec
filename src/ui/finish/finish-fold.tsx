'use client';

import type { ComponentProps } from 'react';
import { late } from '../shell/late';
import { Fold } from '../unit/fold';
import type { FinishBox as Box } from './finish-box';

const FinishBox = late(async () => (await import('./finish-box')).FinishBox);

/** The finishes of a unit: open while something cures, else folded away. */
export function FinishFold(props: ComponentProps<typeof Box>) {
  const cures = props.finishes.some((f) => f.curedAt === null);
  return cures ? (
    <section className="mb-4 border-t border-hair pt-2">
      <h2 className="head mb-1">FINISH</h2>
      <FinishBox {...props} />
    </section>
  ) : (
    <Fold title="Paint, thread locker, resin">
      <FinishBox {...props} />
    </Fold>
  );
}
