import { TASKS } from './tasks';

/** A thread of the pool: does one task after another. */
export default ({ task, input }: { readonly task: keyof typeof TASKS; readonly input: never }): unknown => TASKS[task](input);
