import { rewritten } from '@/core/quantity/figure';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { STATION_WORDS, type Station } from '@/core/station';
import { EVENT_KINDS } from '@/core/unit/event-kind';
import type { FoldedLine } from '@/core/unit/history';

/** What happened to a unit, by whom and when; what was taken back is struck through. */
export const HistoryLines = ({ lines, now }: { readonly lines: readonly FoldedLine[]; readonly now: number }) => (
  <ol>
    {lines.map((h) => (
      <li key={h.id} className={`flex justify-between gap-3 border-b border-hair py-1 text-[13px] ${h.undone ? 'line-through' : ''}`}>
        <span>
          {EVENT_KINDS[h.kind]}
          {h.count > 1 ? ` × ${h.count}` : ''}
          <span className="text-ink2">{h.note === '' ? '' : `: ${STATION_WORDS[h.note as Station] ?? rewritten(h.note)}`}</span>
        </span>
        <span className="shrink-0 text-ink2" title={sayFullDate(h.at)}>
          {h.by} · {sayWhen(h.at, now)}
        </span>
      </li>
    ))}
  </ol>
);
