import { COMMON } from '../../message/common/messages.ts';
import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';
import { M } from './messages.ts';

/** How the outer race goes into its cartridge. Joints first is our own choice. */
export const OUTER_RACE = defineMethod({
  id: 'race',
  ask: M.outerRaceIntoSplitCartridge,
  why: M.makersWhereNoneGivenJoints,
  usual: 'joints-first',
  answers: [
    ['joints-first', M.jointsTightEasedRadialJoints, PRACTICE],
    ['square-first', M.squareShoulderThenRadial, PRACTICE],
  ],
});
export type RaceMethod = MethodId<typeof OUTER_RACE>;

/** When the clamp screws are drawn. The gauge left in is our own choice: the place cannot slip unseen. */
export const CLAMP_SCREWS = defineMethod({
  id: 'gauge',
  ask: M.clampScrewsSplitRaceAxial,
  why: M.gaugePlaceCannotSlipUnseen,
  usual: 'gauge-in',
  answers: [
    ['gauge-in', M.cageCartridgeAsGauge, PRACTICE],
    ['gauge-out', M.afterTakingThemOut, PRACTICE],
  ],
});
export type ClampMethod = MethodId<typeof CLAMP_SCREWS>;

/** What goes on the outside of the cartridge. */
export const CARTRIDGE_FILM = defineMethod({
  id: 'film',
  ask: M.outsideSelfAligningCartridge,
  why: M.lightOilUnlessMakerSays,
  usual: 'oil',
  answers: [
    ['oil', M.lightOil, PRACTICE],
    ['anti-seize', COMMON.antiSeize, M.makersInstructions],
  ],
});
export type FilmMethod = MethodId<typeof CARTRIDGE_FILM>;
