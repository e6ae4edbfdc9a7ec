import type { Metadata } from 'next';
import { Go } from '@/ui/shell/go';

export const metadata: Metadata = { title: 'Sums' };

const SUMS = [
  ['/sums/gap', 'Pushrod gap', 'Four depths, the gap they leave, and what to turn.'],
  ['/sums/hydraulics', 'What another bore does', 'Pressure, travel, reserve and force for each bore; a tandem with one circuit lost.'],
  ['/sums/clutch', 'Clutch release', 'From the pedal’s travel to the bearing’s, with what gap, hose and air take.'],
  [
    '/sums/bleed',
    'Bleed',
    'The system drawn: in which order, how many strokes, when to top up, how much fluid; and as a guide at the machine.',
  ],
  [
    '/sums/line',
    'Line',
    'A tube’s length to cut, where each bend starts, flares and seats, a ticket in true scale, and why a union leaks.',
  ],
  ['/sums/fluids', 'What touches what', 'Fluid, rubber and lubricant; one fluid after another; the swell test.'],
  ['/sums/hole', 'Clevis hole and pin', 'Play and ovality, and the pedal that they cost.'],
  ['/sums/vacuum', 'Vacuum hold', 'A booster’s vacuum over time, read or from a gauge’s log.'],
  ['/kits/identify', 'What is this unit?', 'What can be measured, the fitments it may be, and what to measure next; threads and seats.'],
] as const;

export default function SumsPage() {
  return (
    <div className="max-w-4xl px-4 py-4">
      <h1 className="mb-3 text-xl font-bold">Sums</h1>
      <ul className="border border-line bg-sheet">
        {SUMS.map(([href, name, what]) => (
          <li key={href} className="border-b border-hair px-3 py-1 last:border-b-0">
            <Go href={href} className="inline-flex min-h-[44px] items-center font-bold text-act">
              {name}
            </Go>
            <p className="text-ink2">{what}</p>
          </li>
        ))}
      </ul>
    </div>
  );
}
