import type { StepDefinition } from '../../engine/step.ts';
import { standing } from '../../steps/standing.ts';
import type { SealFamily, SealSetup } from './setup.ts';

/** Of each family, what its own steps stand on beside the tail they share: what is loosened or measured anew opens these again. */
const FAMILY_STANDS_ON: Record<SealFamily, Readonly<Record<string, readonly string[]>>> = {
  // The collar is reached only with the gland off again.
  component: {
    collar: ['setting', 'screws'],
    close: ['setting', 'screws', 'collar'],
    glandbolts: ['close'],
    impeller: ['setting', 'collar'],
  },
  cartridge: {},
  cassette: {},
  'cartridge-split': {
    splitgaps: ['rotaryjoint'],
    screws: ['rotaryjoint'],
    angles: ['rotaryjoint', 'screws'],
    gland: ['rotaryjoint', 'screws', 'angles'],
    glandangle: ['gland', 'angles'],
    glandjoint: ['gland', 'glandangle'],
    glandbolts: ['glandjoint'],
  },
  'fully-split': {
    splitgaps: ['rotaryjoint'],
    faces: ['rotaryjoint'],
    angles: ['faces'],
    gland: ['faces', 'angles'],
    glandangle: ['gland', 'angles'],
    glandjoint: ['gland', 'glandangle'],
    glandbolts: ['glandjoint'],
  },
  'clamp-split': {
    plates: ['screws'],
    rotaryjoint: ['screws'],
    faces: ['rotaryjoint'],
    stationary: ['faces'],
    drawin: ['faces', 'stationary'],
    glandbolts: ['drawin'],
  },
  purged: {
    assemble: ['throttle'],
    centre: ['assemble'],
    glandbolts: ['centre'],
    gas: ['pipes'],
  },
};

/** The steps of a seal, each with all it stands on. */
export function sealStandsOn(
  setup: SealSetup,
  steps: readonly StepDefinition<SealSetup>[],
): StepDefinition<SealSetup>[] {
  // Clips and set screws hold the setting in turn: the later of them stands on the earlier.
  const held: Readonly<Record<string, readonly string[]>> =
    setup.tail === 'clips-first' ? { clips: ['snug'], screws: ['clips', 'snug'] } : { clips: ['screws'] };
  const own: Readonly<Record<string, readonly string[]>> = {
    ...FAMILY_STANDS_ON[setup.family],
    ...(setup.family === 'cartridge' || setup.family === 'cassette' ? held : {}),
  };
  return standing(own, steps);
}

/** A step that opens again when one of these is undone. */
export const standingOn = (step: StepDefinition<SealSetup>, ...on: string[]): StepDefinition<SealSetup> => ({
  ...step,
  standsOn: [...(step.standsOn ?? []), ...on],
});
