import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { z } from 'zod';
import { type Doing, may } from '@/core/people/role';
import { PEOPLE } from '../../demo/people';
import type { Random } from '../../devices/hand/random';
import { type Answer, ask, type Target } from './try';
import { madeUp } from './value';

type Action = { readonly name: string; readonly id: string; readonly path: string; readonly doing: Doing; readonly schema: z.ZodType };

/** Every action that the build knows, with its schema and a page that it can be called from. @param build the folder of the built application */
export async function actionsOf(build: string, tag: string): Promise<readonly Action[]> {
  const { node } = JSON.parse(readFileSync(join(build, 'server/server-reference-manifest.json'), 'utf8')) as {
    readonly node: Readonly<Record<string, { readonly exportedName: string; readonly workers: Readonly<Record<string, unknown>> }>>;
  };
  const files = readdirSync('src/app/actions').filter((f) => f.endsWith('.ts'));
  const modules = await Promise.all(files.map((f) => import(`../../src/app/actions/${f}`) as Promise<Record<string, unknown>>));
  const schemas = new Map(modules.flatMap((m) => Object.entries(m)));
  return Object.entries(node).flatMap(([id, { exportedName: name, workers }]) => {
    const { doing, schema } = (schemas.get(name) ?? {}) as Partial<Action>;
    const page = Object.keys(workers)[0] ?? '';
    const path = page
      .replace(/^app/, '')
      .replace(/\/\([^)]*\)/g, '')
      .replace(/\/page$/, '')
      .replace('[tag]', tag)
      .replace(/\[\w+\]/g, 'x');
    return doing === undefined || schema === undefined ? [] : [{ name, id, path: path === '' ? '/' : path, doing, schema }];
  });
}

/** An action as one of its people, or a stranger, with a value by its schema. Refused by role exactly where the role may not. */
export async function tryAction(target: Target, random: Random, actions: readonly Action[]): Promise<Answer> {
  const action = random.pick(actions);
  const person = random.next() < 0.05 ? undefined : random.pick(PEOPLE);
  const value = random.next() < 0.02 ? null : madeUp(action.schema, random, await target.known(random));
  const cookie = (person === undefined ? undefined : target.cookies.get(person.id)) ?? '';
  const { answer, text } = await ask(
    `action ${action.name}`,
    `${target.origin}${action.path}`,
    {
      method: 'POST',
      body: JSON.stringify([value]),
      headers: {
        'next-action': action.id,
        'content-type': 'text/plain;charset=UTF-8',
        origin: target.origin,
        cookie,
      },
    },
    // What it changes is shown at once: the page comes with the answer.
    'page',
  );
  const code = codeOf(text);
  const given = { ...answer, ...(code === undefined ? {} : { code }) };
  if (answer.fault !== undefined) return { ...given, fault: `${answer.fault}; sent ${sent(value)}` };
  if (code === 'bug' || code === 'storage') return { ...given, fault: `${code}; sent ${sent(value)}` };
  if (code === 'signed-out' && person !== undefined && (await target.wasEnded(person.id, cookie)) === 'ended') return given;
  const allowed = person === undefined ? 'signed-out' : may(person.role, action.doing) ? undefined : 'forbidden';
  const wrongRole = allowed === undefined ? code === 'forbidden' || code === 'signed-out' : code !== undefined && code !== allowed;
  return wrongRole ? { ...given, fault: `as ${person?.role ?? 'a stranger'} came to ${code}` } : given;
}

const sent = (value: unknown): string => JSON.stringify(value).slice(0, 2000);

/** What an action's answer came to, from the line of the stream that holds it. */
const codeOf = (text: string): string | undefined => {
  const line = /^1:(\{"ok":.*)$/m.exec(text)?.[1];
  if (line === undefined) return undefined;
  return /^\{"ok":true/.test(line) ? 'done' : /"code":"([\w-]+)"/.exec(line)?.[1];
};
