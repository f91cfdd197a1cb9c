import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';
import type { SleeveSetup } from './setup.ts';

/** A lone value of a sheet is a target: this much either side of it. Our own choice. */
const LONE_WITHIN = 0.05;

/** `ours`: the width is our own tolerance about one value of the sheet. */
export type DriveUpBand = { minMm: number; maxMm: number; said: Text; ours: boolean };

/**
 * The sheet's drive-up: its band, or one value as a target with a twentieth either side.
 * @throws RangeError where the sheet gives none; a setup that lacks it is refused
 */
export function driveUpBand({ driveUpMinMm: min, driveUpMaxMm: max }: SleeveSetup['maker']): DriveUpBand {
  if (min === undefined) throw new MessageError(M.driveUpMissingComesFrom);
  if (max !== undefined && max > min)
    return { minMm: min, maxMm: max, said: COMMON.to4({ min: num(min), max: len(max) }), ours: false };
  return {
    minMm: min * (1 - LONE_WITHIN),
    maxMm: min * (1 + LONE_WITHIN),
    said: M.n5OurOwnChoiceSheet({ min: len(min) }),
    ours: true,
  };
}
