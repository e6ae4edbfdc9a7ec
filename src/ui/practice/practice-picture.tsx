'use client';

import { useMemo } from 'react';
import { bleedPlan } from '@/core/bleed/bleed-plan';
import { questionOf } from '@/core/bleed/system-question';
import type { Picture } from '@/core/practice/exercise';
import { fixed } from '@/core/quantity/figure';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { SystemView } from '../bleed/system-view';
import { LineChart } from '../chart/late-chart';
import { SeatPicture } from '../line/flare-picture';
import { GapDrawing } from '../set/gap-drawing';
import { Scroll } from '../unit/scroll';
import { Dial } from './dial';
import { HiddenBore } from './hidden-bore';
import { PracticeMap } from './practice-map';
import { PracticeSection } from './practice-section';
import { Vernier } from './vernier';

/** What is shown to an exercise, drawn as real units are. */
export function PracticePicture({ picture }: { readonly picture: Picture }) {
  switch (picture.kind) {
    case 'section':
      return <PracticeSection picture={picture} />;
    case 'vernier':
      return (
        <Scroll label="The scale">
          <Vernier picture={picture} />
        </Scroll>
      );
    case 'dial':
      return <Dial picture={picture} />;
    case 'hidden':
      return <HiddenBore picture={picture} />;
    case 'seat':
      return <SeatPicture seat={picture.seat} />;
    case 'gap':
      return <GapDrawing sheet={picture.sheet} gapMm={undefined} />;
    case 'system':
      return <Unnumbered picture={picture} />;
    case 'map':
      return <PracticeMap picture={picture} />;
    case 'filling':
      return (
        <LineChart
          title="Fluid pushed in"
          series={[{ name: 'fluid', dash: '', points: picture.points.map((p) => ({ x: p.pBar, y: p.mlIn })) }]}
          x={{ name: 'bar', say: (b) => fixed(b, 0) }}
          y={{ name: 'ml', say: (ml) => fixed(ml, 2) }}
        />
      );
    case 'trace':
      return (
        <LineChart
          title="Pressure over the hold"
          series={[{ name: 'pressure', dash: '', points: picture.points.map((p) => ({ x: p.tS, y: p.pBar })) }]}
          x={{ name: 's', say: (s) => fixed(s, 0) }}
          y={{ name: 'bar', say: (b) => fixed(b, 1) }}
        />
      );
  }
}

/** A system without the numbers of its order: that is what is asked. */
function Unnumbered({ picture: { system } }: { readonly picture: Extract<Picture, { readonly kind: 'system' }> }) {
  const plan = useMemo(() => bleedPlan({ ...questionOf(system), rules: null }, STANDARD_RULES), [system]);
  return (
    <Scroll label="The system">
      <SystemView system={system} plan={{ ...plan, order: [] }} filled={0} />
    </Scroll>
  );
}
