import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../family/families';
import { type Drawing, geometryAt } from '../family/family';
import { putIn } from '../strip/part-news';
import { emptyTray } from '../strip/tray';
import { cureObjections, FINISH_NAMES, FINISHES, type FinishBody, finishObjections, openingsOf, softInBody } from './finish';

const bare: FinishBody = { soft: [], unrinsed: [], openings: 4 };
const family = FAMILIES['master-tandem'];
const tray = emptyTray(family, (s) => s.id);

describe('what may be put on', () => {
  test.each(FINISH_NAMES)('%s on a bare, rinsed, plugged body', (finish) => expect(finishObjections(finish, bare, 4)).toEqual([]));

  test('a bake is refused with rubber or plastic in it, and with petroleum; air and resin are not', () => {
    const soft = { ...bare, soft: ['boot', 'primary cup'] };
    expect(finishObjections('paint-bake', soft, 4)).toEqual([expect.stringMatching(/^A low bake ruins rubber .*: boot, primary cup\./)]);
    expect(finishObjections('paint-bake', { ...soft, unrinsed: ['grease-gun'] }, 4).length).toBe(2);
    expect(finishObjections('paint-air', soft, 4)).toEqual([]);
    expect(finishObjections('resin', soft, 0)).toEqual([]);
  });

  test('paint goes on with every opening plugged', () => {
    expect(finishObjections('paint-air', bare, 3)).toEqual(['3 of 4 openings are plugged: paint in a drilling ends up in the bore.']);
    expect(finishObjections('thread-locker', bare, 0)).toEqual([]);
    const at = (name: keyof typeof FAMILIES) => openingsOf(FAMILIES[name], geometryAt(FAMILIES[name].drawing as Drawing, 22));
    expect(at('master-tandem')).toEqual(['mouth', 'rear outlet port', 'front outlet port', 'reservoir opening']);
    expect(at('wheel-double')).toEqual(['left mouth', 'right mouth', 'bleed port', 'inlet port']);
    expect(openingsOf(FAMILIES.linkage, null)).toEqual([]);
  });
});

test('rubber and plastic count while they are in the body: before strip, and again once they went in', () => {
  expect(softInBody(tray, 'out')).toContain('boot');
  expect(
    softInBody(
      tray.map((p) => ({ ...p, found: 'present' as const })),
      'out',
    ),
  ).toEqual([]);
  const closed = tray.map((p) =>
    p.kind === 'grommet' ? { ...p, found: 'present' as const, goesIn: putIn({ piece: 'new', faces: null }, 1) } : p,
  );
  expect(softInBody(closed, 'in')).toEqual(['reservoir grommets']);
});

test('it has cured once its time is over and as many plugs are out as went in', () => {
  const paint = { finish: 'paint-air', endsAt: 1000, plugs: 4, note: '', curedAt: null } as const;
  expect(cureObjections(paint, 4, 1000)).toEqual([]);
  expect(cureObjections(paint, 3, 999)).toEqual([
    'The paint, air cure is not through its time yet.',
    '4 plugs went in and 3 came out: find the others before anything goes in.',
  ]);
  expect(cureObjections({ ...paint, finish: 'resin', plugs: null }, 0, 1000)).toEqual([]);
});

test('every finish holds release, and paint and resin hold close-up', () => {
  for (const name of FINISH_NAMES) expect(FINISHES[name].holds).toContain('release');
  expect(FINISH_NAMES.filter((n) => (FINISHES[n].holds as readonly string[]).includes('close-up'))).toEqual([
    'paint-air',
    'paint-bake',
    'resin',
  ]);
});
