import { whatWouldChange } from '@/core/judge/what-would-change';
import type { Judged } from './would-change';

addEventListener(
  'message',
  ({ data: { asked, rules, answer, markId } }: MessageEvent<Judged & { readonly markId: string | undefined }>) => {
    postMessage(
      whatWouldChange(
        asked,
        rules,
        answer,
        asked.marks?.find((m) => m.id === markId),
      ),
    );
  },
);
