import { type Line, median, timed } from './line';
import { get } from './served';

const [ROUNDS, BAR_MS] = [12, 300];

/** What a unit gives to take along, each as it is asked for. @param released, here tags of a unit that has left and of one that was judged */
export async function paperLines(port: number, cookie: string, released: string, here: string): Promise<readonly Line[]> {
  const papers = {
    certificate: `/api/v1/units/${released}/certificate.pdf`,
    traveller: `/api/v1/units/${here}/traveller.pdf`,
    'verdict sheet': `/api/v1/units/${here}/verdict.pdf`,
    'section as PNG': `/api/v1/units/${here}/section.png`,
    'bore map as PNG': `/api/v1/units/${here}/bore-map.png`,
  };
  const lines: Line[] = [];
  for (const [what, path] of Object.entries(papers)) {
    const times: number[] = [];
    for (let i = 0; i < ROUNDS; i++) times.push(await timed(() => get(port, path, cookie)));
    const ms = median(times.slice(2));
    lines.push({ what, ours: `${ms.toFixed(0)} ms`, peer: '–', bar: `≤ ${BAR_MS} ms`, holds: ms <= BAR_MS });
  }
  return lines;
}
