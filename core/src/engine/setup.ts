import type { DecisionRule } from '../metrology/decision.ts';
import { chosenOf, DECISION, type Depth, type SiteRules } from '../sources/methods.ts';

/** What every job says of itself, whatever its trade; each trade's own setup says more. Lengths in mm. */
export type Setup = {
  /** The trade it is of. The oldest jobs say nothing. */
  procedure?: string | undefined;
  machine: string;
  position: string;
  partNumber?: string | undefined;
  /** How deep it is checked. */
  depth?: Depth | undefined;
  /** Steps a lead hand is asked to release. */
  holdBefore: string[];
  /** What was chosen where practitioners disagree, when the job was opened or since. */
  schools?: SiteRules | undefined;
  /** Values typed from the maker's sheet; they outrank every table. */
  maker: object;
  demo?: boolean | undefined;
};

/** What a job says of the methods; where it says nothing, what is usual of each is in force. */
export const rulesOf = (setup: Pick<Setup, 'schools'>): SiteRules => setup.schools ?? {};

/** When a reading of a job is called inside or outside its limit. */
export const decisionOf = (setup: Pick<Setup, 'schools'>): DecisionRule => chosenOf(rulesOf(setup), DECISION);
