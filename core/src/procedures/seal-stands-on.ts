import type { SealFamily, SealSetup } from '../api/setup.ts';
import type { StepDefinition } from './types.ts';

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
    gland: ['rotaryjoint', 'screws'],
    angles: ['rotaryjoint', 'gland'],
    glandjoint: ['gland', 'angles'],
    glandbolts: ['glandjoint'],
  },
  'fully-split': {
    splitgaps: ['rotaryjoint'],
    faces: ['rotaryjoint'],
    angles: ['faces'],
    gland: ['faces', 'angles'],
    glandjoint: ['gland'],
    glandbolts: ['glandjoint'],
  },
  'clamp-split': {
    plates: ['screws'],
    rotaryjoint: ['screws'],
    faces: ['rotaryjoint'],
    drawin: ['faces'],
    glandbolts: ['drawin'],
  },
  purged: {
    assemble: ['throttle'],
    centre: ['assemble'],
    glandbolts: ['centre'],
    gas: ['handturn'],
  },
};

/** The steps of a seal, each with all it stands on. */
export function sealStandsOn(setup: SealSetup, steps: readonly StepDefinition[]): StepDefinition[] {
  // Clips and set screws hold the setting in turn: the later of them stands on the earlier.
  const held: Readonly<Record<string, readonly string[]>> =
    setup.tail === 'clips-first' ? { screws: ['clips'] } : { clips: ['screws'] };
  const own: Readonly<Record<string, readonly string[]>> = {
    ...FAMILY_STANDS_ON[setup.family],
    ...(setup.family === 'cartridge' || setup.family === 'cassette' ? held : {}),
  };
  return steps.map((s) => {
    const on = own[s.id];
    return on ? { ...s, standsOn: [...(s.standsOn ?? []), ...on] } : s;
  });
}
