import { boolean, type InferType, number, object, string } from 'yup';
import { USUAL_V_RINGS, type V_RING_LUBRICATIONS, type VRingSet } from '../../arithmetic/packing/plunger.ts';
import { ask, choice } from '../../engine/asked.ts';
import {
  everyJob,
  fromSheet,
  holdBefore,
  inOrder,
  MAKER_ORDER,
  placeFields,
  schools,
} from '../../steps/setup-parts.ts';
import '../../judgement/sentences.ts';

/** A V-ring set on a plunger. */
export const plungerSetupSchema = object({
  procedure: string()
    .oneOf(['plunger'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ sign: 'signature' }),
  lubrication: choice('Packing nut', 'Plunger is lubricated with', {
    oil: 'oil',
    grease: 'grease',
  } satisfies Record<(typeof V_RING_LUBRICATIONS)[number], string>).required(),
  /** Sets vary: what this one is of is listed before anything is laid. */
  noBottom: boolean().meta(ask('V-ring set', 'No bottom ring')),
  noHeader: boolean().meta(ask('V-ring set', 'No header ring')),
  pressureRings: number()
    .integer()
    .min(1)
    .max(4)
    .meta(ask('V-ring set', 'Pressure rings', { fallback: '2' })),
  lantern: choice(
    'V-ring set',
    'Lantern',
    { none: 'none', box: 'in the box', nut: 'part of the nut' },
    { fallback: 'none' },
  ),
  noAdapter: boolean().meta(ask('V-ring set', 'No adapter')),
  noWiper: boolean().meta(ask('V-ring set', 'No wiper')),
  /** Pitch of the packing nut’s thread. */
  nutPitchMm: number()
    .min(0.001)
    .max(10)
    .required()
    .meta(ask('Packing nut', 'Pitch of its thread', { decimals: 2 })),
  schools,
  maker: object({
    plungerLowerMm: fromSheet(400, 'Plunger, least'),
    plungerUpperMm: fromSheet(400, 'Plunger, most'),
    boreLowerMm: fromSheet(400, 'Packing bore, least'),
    boreUpperMm: fromSheet(400, 'Packing bore, most'),
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
  nutPitchMm: 3,
};
