import { loosened, redone, type StepDefinition } from '../../engine/step.ts';
import { standing } from '../../steps/standing.ts';
import type { SealFamily, SealSetup } from './setup.ts';

/** The clips go back in before anything that holds a preset seal is loosened; a setting measured anew after the screws is theirs again. */
const CLIPS_FIRST: Readonly<Record<string, readonly string[]>> = {
  // Ports turned to another place: the gland was off its bolts.
  impeller: [loosened('glandbolts'), loosened('screws'), redone('ports')],
  // Gaps put right by the gland's bolts move the sleeve the screws hold.
  screws: [redone('reached'), redone('gland-gaps')],
  clips: [redone('reached'), redone('gland-gaps')],
};

/** Of each family, what its own steps stand on beside the tail they share: what is loosened or measured anew opens these again. */
const FAMILY_STANDS_ON: Record<SealFamily, Readonly<Record<string, readonly string[]>>> = {
  component: {
    // A collar set anew has its screws loosened first.
    screws: ['setting', redone('collar')],
    collar: ['setting', 'screws'],
    // The collar is reached only with the gland off again.
    close: ['setting', 'screws', 'collar'],
    glandbolts: ['close'],
    impeller: ['setting', 'collar'],
  },
  cartridge: CLIPS_FIRST,
  cassette: CLIPS_FIRST,
  'cartridge-split': {
    // What holds it to the shaft is loose: the spacers go back in, or its place is lost.
    rotary: [loosened('rotaryjoint'), loosened('screws')],
    splitgaps: ['rotaryjoint'],
    spacers: ['rotaryjoint', 'rotary', redone('splitgaps')],
    screws: ['rotaryjoint', 'spacers'],
    angles: ['rotaryjoint', 'screws'],
    gland: ['rotaryjoint', 'screws', 'angles', loosened('glandjoint')],
    glandangle: ['gland', 'angles'],
    glandjoint: ['gland', 'glandangle'],
    tool: ['glandjoint'],
    otherports: ['tool'],
    ports: ['tool'],
    glandbolts: ['glandjoint', 'tool'],
  },
  'fully-split': {
    holder: [loosened('rotaryjoint')],
    splitgaps: ['rotaryjoint'],
    faces: ['rotaryjoint', 'splitgaps'],
    angles: ['faces'],
    gland: ['faces', 'angles', loosened('glandjoint')],
    glandangle: ['gland', 'angles'],
    glandjoint: ['gland', 'glandangle'],
    otherports: ['glandjoint'],
    ports: ['glandjoint'],
    glandbolts: ['glandjoint'],
  },
  'clamp-split': {
    halves: [loosened('screws')],
    // Between plates and flange the clamp ring holds the dimension: loosened, it is lost.
    plates: ['screws', loosened('rotaryjoint')],
    rotaryjoint: ['screws'],
    faces: ['rotaryjoint', 'plates'],
    stationary: ['faces'],
    drawin: ['faces', 'stationary', loosened('glandbolts')],
    glandbolts: ['drawin'],
    fixtures: ['glandbolts'],
  },
  purged: {
    assemble: ['throttle'],
    centre: ['assemble', loosened('glandbolts')],
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
  const own = standing(FAMILY_STANDS_ON[setup.family], steps);
  return setup.family === 'cartridge' || setup.family === 'cassette' ? standing(held, own) : own;
}

/** A step that opens again when one of these is undone. */
export const standingOn = (step: StepDefinition<SealSetup>, ...on: string[]): StepDefinition<SealSetup> => ({
  ...step,
  standsOn: [...(step.standsOn ?? []), ...on],
});
