import { createServer, type Server, type Socket } from 'node:net';
import type { Random } from '../../devices/hand/random';

/** Ways for a rig to misbehave; each gets its line and does its worst. */
const WORST: readonly ((line: Socket, random: Random) => void)[] = [
  (line) => void line.write('x'.repeat(5_000_000)),
  (line) => void line.write(`${JSON.stringify({ error: 'e'.repeat(5_000_000) })}\n`),
  (line) => void line.write(`${JSON.stringify({ hello: 'rig', name: 'r', speed: 1e-300 })}\n`),
  (line) => void line.write(`${JSON.stringify({ t: 1e308, p: 1, ml: 1 })}\n`),
  (line) => void line.write('{"t":1,"p":null}\n{"t":'),
  (line) => void line.destroy(),
  (line) => void line.end(),
  () => {},
  (line, random) => void line.write(Buffer.from(Array.from({ length: 4000 }, () => Math.floor(random.next() * 256)))),
  (line) => {
    hello(line);
    const samples = Array.from({ length: 100_000 }, (_, i) => sample(i / 10, Math.min(80, i)));
    line.write(`${JSON.stringify({ event: 'filling' })}\n${samples.join('')}`);
  },
  (line) => {
    hello(line);
    const held = Array.from({ length: 3000 }, (_, i) => sample(10 + i / 10, 80 - i / 3000));
    line.write(
      `${Array.from({ length: 90 }, (_, i) => sample(i / 10, i)).join('')}${JSON.stringify({ event: 'holding' })}\n${held.join('')}`,
    );
  },
];
const hello = (line: Socket): void => void line.write(`${JSON.stringify({ hello: 'rig', name: 'r', speed: 60 })}\n`);
const sample = (t: number, p: number): string => `${JSON.stringify({ t, p, ml: p / 20 })}\n`;

/** A rig that does another of its worst with each line. @param random which */
export const startBadRig = (random: Random): Promise<{ readonly server: Server; readonly port: number; readonly lines: () => number }> =>
  new Promise((resolve) => {
    let lines = 0;
    const server = createServer((line) => {
      lines += 1;
      line.on('error', () => undefined);
      random.pick(WORST)(line, random);
      // Whatever it did, it lets go when it is asked to, or not at all.
      line.on('data', (said) => said.includes('release') && random.next() < 0.5 && line.end(`${JSON.stringify({ event: 'down' })}\n`));
    });
    server.listen(0, '127.0.0.1', () => resolve({ server, port: (server.address() as { port: number }).port, lines: () => lines }));
  });
