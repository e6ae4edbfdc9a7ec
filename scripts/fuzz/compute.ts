import { CALCULATIONS } from '@/core/api/compute';
import type { Random } from '../../devices/hand/random';
import { type Answer, ask, type Target } from './try';
import { madeUp } from './value';

/** A calculation of the wire, by its own schema; now and then its text is broken. */
export async function tryCompute(target: Target, random: Random): Promise<Answer> {
  const [name, { request }] = random.pick([...CALCULATIONS]);
  const text = JSON.stringify(madeUp(request, random, await target.known(random)));
  const body = random.next() < 0.05 ? text.slice(0, Math.floor(text.length * random.next())) : text;
  const url = `${target.origin}/api/v1/compute/${name}`;
  return (await ask(`compute ${name}`, url, { method: 'POST', body, headers: { authorization: `Bearer ${target.token}` } }, 'pool')).answer;
}
