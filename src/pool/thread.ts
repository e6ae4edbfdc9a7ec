import type { Locale } from '@/core/locale';
import { TASKS } from './tasks';

/** A thread of the pool: does one task after another. */
export default ({
  task,
  input,
  locale,
}: {
  readonly task: keyof typeof TASKS;
  readonly input: never;
  readonly locale: Locale;
}): unknown => {
  globalThis.eddrinLocale = locale;
  return TASKS[task](input);
};
