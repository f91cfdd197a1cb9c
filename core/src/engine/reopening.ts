import { kindOf, type SealSetup, type Setup } from '../api/setup.ts';
import { standing } from './facts.ts';
import type { Facts } from './state.ts';

/** What it is called when a part of the work is taken back and done anew: on the button, on the sheet, and what is asked. */
export type Reopening = {
  does: string;
  said: string;
  ask: string;
  confirm: string;
  /** The usual caution at it. */
  caution: string;
  /** The steps it undoes, which open again with all that stands on them; none where a new attempt begins instead. */
  undoes: readonly string[];
};

/** What a gate of safety stands on: handed over at the start, it is asked for anew before anything is taken apart. */
export const ISOLATION = 'isolation';

const BEARING: Reopening = {
  does: 'Dismount the bearing',
  said: 'Dismounted',
  confirm: 'It is dismounted',
  ask: 'Why is it dismounted? The readings stay on the sheet as the attempt before.',
  caution:
    'Load off, nut back a few turns and still on; drift on the sleeve, nobody in line. The maker’s instructions come first.',
  undoes: [],
};
const IMPELLER: Reopening = {
  does: 'Move the impeller again',
  said: 'Impeller moved again',
  confirm: 'Clips are in, it is moved',
  ask: 'Why is it moved? Clips in first, then set screws and gland bolts loose; the end of the order comes again.',
  caution:
    'Stopped, isolated, without pressure, cool. Clips in before a screw is touched: the seal’s setting hangs on them. The maker’s instructions come first.',
  undoes: ['impeller'],
};

/** Seals whose impeller can be moved again with the clips back in. */
const CLIPPED: ReadonlyArray<SealSetup['family']> = ['cartridge', 'cassette'];
const clipped = (setup: Setup): boolean =>
  kindOf(setup) === 'seal' && CLIPPED.includes((setup as SealSetup).family);

/** What taking back means for this kind of job. */
export const reopeningOf = (setup: Setup): Reopening => (clipped(setup) ? IMPELLER : BEARING);

/** May the work be taken back and done anew now? The sentence when not. */
export function mayReopen(facts: Facts): string | null {
  if (clipped(facts.setup))
    return facts.ticks.some((t) => t.step === 'glandbolts')
      ? null
      : 'The gland bolts are not drawn yet: the impeller can still be adjusted in its turn.';
  return standing(facts, 'driveup').length > 0
    ? null
    : 'The bearing is not on its taper yet: nothing to dismount.';
}
