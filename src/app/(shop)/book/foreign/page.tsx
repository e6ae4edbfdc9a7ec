import type { Metadata } from 'next';
import type { UnitFile } from '@/core/book/unit-file';
import { FAMILIES } from '@/core/family/families';
import { MATERIAL_WORDS } from '@/core/family/material';
import { fixed } from '@/core/quantity/figure';
import { sayDate, sayFullDate } from '@/core/quantity/say-time';
import { STATION_WORDS } from '@/core/station';
import { EVENT_KINDS } from '@/core/unit/event-kind';
import { foreignLife, foreignLines } from '@/db/book/foreign';
import { foreignPhotosOf } from '@/db/book/foreign-photos';
import { theDb } from '@/db/engine/connection';
import { BookHead } from '@/ui/book/book-head';
import { TakeForeign } from '@/ui/book/take-foreign';
import { Go } from '@/ui/shell/go';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Lives of other shops' };

/** Units that were in another shop, as their files tell it; they count in nothing of this one. */
export default async function ForeignPage({ searchParams }: { readonly searchParams: Promise<{ readonly life?: string }> }) {
  await personOrSignIn();
  const [{ life }, db] = await Promise.all([searchParams, theDb()]);
  const asked = life === undefined ? undefined : String(life);
  const [{ lines, inAll }, file, photos] = await Promise.all([
    foreignLines(db),
    asked === undefined ? undefined : foreignLife(db, asked),
    asked === undefined ? [] : foreignPhotosOf(db, asked),
  ]);
  return (
    <div className="grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-4 px-4 py-4">
      <BookHead here="Lives of other shops" title="Lives of other shops" />
      <TakeForeign to="/api/v1/book/foreign" accept="application/json,.json" text="Take a unit’s file in" />
      {lines.length === 0 ? (
        <p className="border border-line bg-sheet p-3">
          None was taken in yet. Another shop gives a unit out at the foot of its pages, “All of it as a file”.
        </p>
      ) : (
        <ul className="border border-line bg-sheet px-3">
          {lines.map((l) => (
            <li key={l.id} className="flex flex-wrap gap-x-3 border-b border-hair py-1.5 last:border-b-0">
              <Go className="font-bold text-act underline" href={`/book/foreign?${new URLSearchParams({ life: l.id })}`}>
                {l.tag}
              </Go>
              of {l.shop}, taken in {sayDate(l.at)}
            </li>
          ))}
          {inAll > lines.length && <li className="py-1.5">and {inAll - lines.length} more</li>}
        </ul>
      )}
      {asked !== undefined &&
        (file === undefined ? <p role="alert">There is no such life.</p> : <Life id={asked} file={file} photos={photos} />)}
    </div>
  );
}

/** One of them, under a line that says whose it is. */
function Life({
  id,
  file: { unit, shop, exportedAt, events, rows },
  photos,
}: {
  readonly id: string;
  readonly file: UnitFile;
  readonly photos: Awaited<ReturnType<typeof foreignPhotosOf>>;
}) {
  const named = rows.photos ?? [];
  const worded = (kind: string): string => (EVENT_KINDS as { readonly [kind: string]: string })[kind] ?? kind;
  return (
    <section aria-label={`${unit.tag} of ${shop}`} className="grid gap-2 border-2 border-dashed border-ink bg-sheet p-3">
      <h2 className="font-bold">
        {unit.tag} of {shop}, as it was on {sayFullDate(exportedAt)}: not this shop’s record
      </h2>
      <p>
        {FAMILIES[unit.family].label}, {MATERIAL_WORDS[unit.material]}
        {unit.nominalMm === null ? '' : `, ⌀ ${fixed(unit.nominalMm, 3)} mm`}; {unit.machine}
        {unit.exitAt === null ? '' : `; left there ${sayDate(unit.exitAt)}`}
      </p>
      {unit.verdicts.map((v) => (
        <p key={`${v.at} ${v.pot}`}>
          Judged {sayDate(v.at)}: <b>{v.outcome}</b>
          {v.targetDiaMm === null ? '' : ` to ${fixed(v.targetDiaMm, 3)} mm`}, limit {fixed(v.limitDiaMm, 3)} mm.
        </p>
      ))}
      {unit.runs
        .filter((r) => r.sentence !== '')
        .map((r) => (
          <p key={r.id}>
            {sayDate(r.at)}: {r.sentence}
          </p>
        ))}
      <p>{unit.steps.map((s) => `${STATION_WORDS[s.station]} ${sayDate(s.at)}`).join(', ')}</p>
      {named.length > 0 && (
        <section aria-label="Its photos">
          <p>
            {photos.length} of its {named.length} {named.length === 1 ? 'photo is' : 'photos are'} here.
          </p>
          <div className="my-1 flex flex-wrap gap-2">
            {photos.map((p) => (
              <a key={p.id} href={`/photos/${p.id}`} target="_blank" rel="noreferrer">
                {/* biome-ignore lint/performance/noImgElement: made small when it was stored */}
                <img
                  src={`/photos/${p.id}?size=small`}
                  alt={String(named.find((n) => n.id === p.photoId)?.caption ?? '') || 'photo'}
                  className="h-24 border border-hair"
                  loading="lazy"
                />
              </a>
            ))}
          </div>
          <TakeForeign to={`/api/v1/book/foreign/${id}/photos`} accept="application/zip,.zip" text="Take its photos in, as a zip" />
        </section>
      )}
      <details>
        <summary className="min-h-9 cursor-pointer font-bold text-act">Its {events.length} steps</summary>
        <ol>
          {events.map((e) => (
            <li key={e.version}>
              {sayDate(e.at)}, {e.by}: {worded(e.kind)}
              {e.note === '' ? '' : `: ${e.note}`}
            </li>
          ))}
        </ol>
      </details>
    </section>
  );
}
