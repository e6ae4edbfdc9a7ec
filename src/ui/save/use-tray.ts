'use client';

import { startTransition, useOptimistic } from 'react';
import { recordPartAction } from '@/app/actions/strip';
import { type PartNews, withNews } from '@/core/strip/part-news';
import type { TrayPart } from '@/core/strip/tray-schema';
import { useSave } from './use-save';

/** The tray with what was just entered already on it; that stays while it is on its way, and goes back if it is refused. */
export function useTray(saved: readonly TrayPart[]) {
  const { save, saving, decide } = useSave(recordPartAction);
  const [tray, expect] = useOptimistic(saved, (parts: readonly TrayPart[], entry: { readonly partId: string; readonly news: PartNews }) =>
    parts.map((p) => {
      const told = p.id === entry.partId ? withNews(p, entry.news, Date.now(), null) : p;
      return typeof told === 'string' ? p : told;
    }),
  );
  const tell = (part: TrayPart, news: PartNews): void =>
    startTransition(async () => {
      expect({ partId: part.id, news });
      await save({ partId: part.id, news });
    });
  return { tray, tell, saving, decide };
}
