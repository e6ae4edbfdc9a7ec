import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { sayFullDate } from '@/core/quantity/say-time';
import { EXIT_WORDS } from '@/core/station';
import { LIFE_WORDS, type Life, lifeOf } from '@/core/unit/lives';
import { sayUnit, tagNumber, tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { unitOfTag } from '@/db/engine/cached-units';
import { theDb } from '@/db/engine/connection';
import { otherLives } from '@/db/unit/lives';
import { Go } from '@/ui/shell/go';
import { Scroll } from '@/ui/unit/scroll';
import { unitsOf } from '../../../../_server/preferences';

type Params = { readonly params: Promise<{ readonly tag: string }> };

export const generateMetadata = async ({ params }: Params): Promise<Metadata> => ({ title: `${(await params).tag} · lives` });

/** A unit that came back: what was found and done in each of its lives, side by side. */
export default async function LivesPage({ params }: Params) {
  const db = await theDb();
  const [record, units] = [await byTag((await params).tag), await unitsOf()];
  if (record === undefined) notFound();
  const { before, after } = await otherLives(db, record.unit);
  const others = await Promise.all([...(before === null ? [] : [before]), ...after].map(byTag));
  const all = [record, ...others.filter((r) => r !== undefined)].sort((a, b) => a.unit.createdAt - b.unit.createdAt);
  const lives = all.map((r) => lifeOf(r, units));
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Lives of {sayUnit(record)}</h1>
      <p className="mb-3 text-ink2">
        {all.length === 1 ? 'It has been here once.' : 'What was found and done each time it was here, the first on the left.'}
      </p>
      <Scroll label="Lives side by side">
        <table className="border-collapse bg-sheet">
          <thead>
            <tr>
              <th className="th" />
              {all.map((r) => (
                <th key={r.unit.id} scope="col" className="th min-w-64">
                  <Go className="font-bold text-act underline" href={`/units/${tagOf(r.unit)}/history`}>
                    {tagOf(r.unit)}
                  </Go>
                  <span className="block">
                    {sayFullDate(r.unit.createdAt)}
                    {r.unit.exit === null || r.unit.exitAt === null ? '' : ` – ${EXIT_WORDS[r.unit.exit]} ${sayFullDate(r.unit.exitAt)}`}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {(Object.keys(LIFE_WORDS) as readonly (keyof Life)[]).map((name) => (
              <tr key={name}>
                <th scope="row" className="cell pr-6 font-normal text-ink2">
                  {LIFE_WORDS[name]}
                </th>
                {lives.map((life, i) => (
                  <td key={all[i]?.unit.id} className="cell align-top">
                    {life[name] ?? '–'}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
    </div>
  );
}

const byTag = async (tag: string): Promise<UnitRecord | undefined> => {
  const number = tagNumber(tag);
  return number === undefined ? undefined : unitOfTag(await theDb(), number);
};
