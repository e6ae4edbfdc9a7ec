import { afterStrokes, fieldOf } from '@/core/hone/simulate';
import { openBrowser, signIn } from '../../tests/browser/browser';
import { type Line, median, timed } from './line';

const STROKES = 200;
/** Less than a screen's 60 by what a timer rounds. */
const FRAMES_A_SECOND = 58;

/** The model of a cut, alone in Node: 400 by 72 cells. */
export async function simulateLine(): Promise<Line> {
  const stations = [5, 30, 55].map((xMm) => ({ xMm, meanMm: 22.24, ovalityMm: 0.006, majorAxisDeg: 80 }));
  const field = fieldOf(stations, 60);
  const cut = () =>
    afterStrokes(field, { stoneLengthMm: 25, overrunMm: 8, strokeMm: 51 }, { umPer100Turns: 7.5, turnsPerStroke: 7.5 }, STROKES);
  const times: number[] = [];
  for (let i = 0; i < 7; i++) times.push(await timed(cut));
  const ms = median(times.slice(2));
  return {
    what: `hone simulation: 400 × 72 cells, ${STROKES} strokes`,
    ours: `${ms.toFixed(0)} ms`,
    peer: '–',
    bar: 'in a worker, ≤ 1000 ms',
    holds: ms <= 1000,
  };
}

/** Frames that a page at Hone draws while its model runs, beside those of the same page at rest. @param page its address */
export async function framesLine(origin: string, page: string): Promise<Line> {
  const browser = await openBrowser();
  try {
    const tab = await browser.newPage();
    await tab.setViewport({ width: 1280, height: 800 });
    await signIn(tab, origin, 'maren-oreland', '180422');
    await tab.goto(page, { waitUntil: 'networkidle0' });
    const frames = (): Promise<number> =>
      tab.evaluate(async () => {
        const start = performance.now();
        let n = 0;
        for (; performance.now() - start < 1500; n++) await new Promise((next) => requestAnimationFrame(next));
        return (1000 * n) / (performance.now() - start);
      });
    const rest = await frames();
    await (await tab.waitForSelector('::-p-xpath(//button[.="Try the cut in a model"])'))?.click();
    await tab.waitForSelector('section[aria-label="Simulation"] [role="slider"]');
    const slider = '[role="slider"][aria-label^="Out of"]';
    await tab.$eval(slider, (e) => (e as HTMLElement).focus());
    await tab.keyboard.press('ArrowRight');
    const busy = await frames();
    return {
      what: 'frames while it simulates',
      ours: `${busy.toFixed(0)} a second`,
      peer: `${rest.toFixed(0)} at rest`,
      bar: '60 a second',
      holds: busy >= Math.min(FRAMES_A_SECOND, rest * 0.97),
    };
  } finally {
    await browser.close();
  }
}
