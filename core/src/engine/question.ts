import type { Text } from '../message/message.ts';
import type { Depth } from '../sources/methods.ts';

/**
 * What hangs on a question. `hazard`: it keeps somebody whole, or closes for good, and is never skipped; the default. `machine`: it
 * asks of something this machine may be without, and is skipped with a reason. `choice`: what is seen is written down with it.
 */
export type QuestionKind = 'hazard' | 'machine' | 'choice';

export type GateItem = {
  id: string;
  ask: Text;
  group: Text;
  kind?: QuestionKind;
  /** Something done, not something looked for: the acts of a step may be told together, as they are listed. */
  act?: boolean;
  /** The least depth of check it belongs to; essential where nothing is said. */
  depth?: Depth;
  /** What to do about a no, where it is not only to be put right. */
  remedy?: Text;
  /** Something seen is written down with the answer. */
  note?: boolean;
  /** Answered yes, the bolts of these steps are loose: they open again with all that stands on them. */
  loosens?: { steps: readonly string[]; because: Text; act: string };
  /** Asked only once none of these findings of its step stands in the way: what cannot be taken back comes last. */
  after?: readonly string[];
  /** Something may be written down with the answer: what, for the field. */
  mayNote?: Text;
};
