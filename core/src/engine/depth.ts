import type { Text } from '../message/message.ts';
import { DEPTH, type Depth, idsOf } from '../sources/methods.ts';
import type { Setup } from './setup.ts';
import type { GateItem, Procedure, StepDefinition } from './step.ts';

export { DEPTH, type Depth };

/** How deep a job is checked, from the least. */
export const DEPTHS: readonly Depth[] = idsOf(DEPTH);

const rank = (depth: Depth): number => DEPTHS.indexOf(depth);

/** How deep a job is checked; one opened before depths were told apart asks for all there is. */
export const depthOf = (setup: Pick<Setup, 'depth'>): Depth => setup.depth ?? 'thorough';

/** Does a job ask for what belongs to this depth? */
export const goesTo = (setup: Pick<Setup, 'depth'>, depth: Depth): boolean =>
  rank(depthOf(setup)) >= rank(depth);

/** Is one depth less than another? */
export const isLessDeep = (a: Depth, b: Depth): boolean => rank(a) < rank(b);

/** The depth a step or question belongs to; what says nothing is essential. */
export const belongsTo = (of: { depth?: Depth | undefined }): Depth => of.depth ?? 'essential';

/** An order of work as deep as a job is checked, with what it leaves out: whole steps, and questions of those that stay. */
export function atDepth<S extends Setup>(procedure: Procedure<S>, depth: Depth): Procedure<S> {
  const stays = (of: StepDefinition<S> | GateItem) => !isLessDeep(depth, belongsTo(of));
  const leftOut: Text[] = [];
  const steps = procedure.steps.flatMap((step) => {
    if (!stays(step)) {
      leftOut.push(step.title);
      return [];
    }
    const gone = (step.items ?? []).filter((i) => !stays(i));
    if (gone.length === 0) return [step];
    leftOut.push(...gone.map((i) => i.ask));
    return [{ ...step, items: (step.items ?? []).filter(stays) }];
  });
  return leftOut.length === 0 ? procedure : { ...procedure, steps, leftOut };
}
