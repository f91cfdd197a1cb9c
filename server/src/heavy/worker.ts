import '@fulcrant/core/every-trade';
import { TASKS, type Task } from './tasks.ts';

/** One task in a thread of its own. */
export default ({ task, input }: { task: Task; input: unknown }): unknown =>
  (TASKS[task] as (input: unknown) => unknown)(input);
