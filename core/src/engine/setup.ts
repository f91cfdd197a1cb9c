import { type HouseRules, USUAL_HOUSE_RULES } from '../sources/schools.ts';

/** What every job says of itself, whatever its trade; each trade's own setup says more. Lengths in mm. */
export type Setup = {
  /** The trade it is of. The oldest jobs say nothing. */
  procedure?: string | undefined;
  machine: string;
  position: string;
  partNumber?: string | undefined;
  /** Steps a lead hand is asked to release. */
  holdBefore: string[];
  schools?: HouseRules | undefined;
  /** Values typed from the maker's sheet; they outrank every table. */
  maker: object;
  demo?: boolean | undefined;
};

/** House rules in force for a job. */
export const schoolsOf = (setup: Pick<Setup, 'schools'>): HouseRules => setup.schools ?? USUAL_HOUSE_RULES;
