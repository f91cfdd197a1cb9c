import { boolean, type InferType, number, object, string } from 'yup';
import { USUAL_V_RINGS, type V_RING_LUBRICATIONS, type VRingSet } from '../../arithmetic/packing/plunger.ts';
import { ask, choice } from '../../engine/asked.ts';
import { M as H } from '../../engine/headings/messages.ts';
import { COMMON } from '../../message/common/messages.ts';
import {
  everyJob,
  fromSheet,
  holdBefore,
  inOrder,
  MAKER_ORDER,
  placeFields,
  schools,
} from '../../steps/setup-parts.ts';
import { M } from './messages.ts';
import '../../judgement/sentences.ts';

/** A V-ring set on a plunger. */
export const plungerSetupSchema = object({
  procedure: string()
    .oneOf(['plunger'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ sign: COMMON.signature2 }),
  lubrication: choice(COMMON.packingNut, M.plungerLubricated, {
    oil: 'oil',
    grease: 'grease',
  } satisfies Record<(typeof V_RING_LUBRICATIONS)[number], string>).required(),
  /** Sets vary: what this one is of is listed before anything is laid. */
  noBottom: boolean().meta(ask(H.vRingSet, M.noBottomRing)),
  noHeader: boolean().meta(ask(H.vRingSet, M.noHeaderRing)),
  pressureRings: number()
    .integer()
    .min(1)
    .max(4)
    .meta(ask(H.vRingSet, M.pressureRings, { fallback: '2' })),
  lantern: choice(
    H.vRingSet,
    M.lantern,
    { none: COMMON.noneWord, box: M.box, nut: M.partNut },
    { fallback: 'none' },
  ),
  noAdapter: boolean().meta(ask(H.vRingSet, M.noAdapter)),
  noWiper: boolean().meta(ask(H.vRingSet, M.noWiper)),
  /** Pitch of the packing nut’s thread. */
  nutPitchMm: number()
    .min(0.001)
    .max(10)
    .meta(ask(COMMON.packingNut, M.pitchThread, { decimals: 2 })),
  schools,
  maker: object({
    plungerLowerMm: fromSheet(400, M.plungerLeast),
    plungerUpperMm: fromSheet(400, M.plungerMost),
    boreLowerMm: fromSheet(400, M.packingBoreLeast),
    boreUpperMm: fromSheet(400, M.packingBoreMost),
  })
    .noUnknown()
    .required(),
})
  .noUnknown()
  .test('maker-order', MAKER_ORDER, inOrder);
export type PlungerSetup = InferType<typeof plungerSetupSchema>;

/** What the set of this job is of. */
export const setOf = (s: PlungerSetup): VRingSet => ({
  bottom: s.noBottom !== true,
  header: s.noHeader !== true,
  pressureRings: s.pressureRings ?? USUAL_V_RINGS.pressureRings,
  lantern: s.lantern === 'box',
  adapter: s.noAdapter !== true,
  wiper: s.noWiper !== true,
});

/** A usual plunger's packing nut. */
export const USUAL_PLUNGER: Omit<PlungerSetup, 'machine' | 'position'> = {
  procedure: 'plunger',
  holdBefore: [],
  maker: {},
  lubrication: 'oil',
};
