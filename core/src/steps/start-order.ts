import { choice } from '../engine/asked.ts';
import { M as H } from '../engine/headings/messages.ts';
import type { GateItem } from '../engine/step.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { M } from './messages.ts';
import { item } from './questions.ts';

/** What was done to the drive: it decides how the direction of rotation is proved before the start. */
const DRIVES = {
  coupling: M.couplingComesApart,
  fixed: M.cannotUncoupled,
  untouched: M.motorCouplingWereNotTouched,
} as const;
export type Drive = keyof typeof DRIVES;

/** How the machine is driven, as a setup says it; what nobody says is `usual`. */
export const driveField = (usual: Drive, group = H.place) =>
  choice(group, M.driven, DRIVES, { fallback: usual });

type StartOrder = {
  drive: Drive;
  group: Text;
  /** All that is done while the machine is still isolated: closed, tools out, filled. */
  isolated: readonly GateItem[];
  coupled?: Text;
  guards: Text;
  /** The last isolation lifted, by name. */
  lifted: GateItem;
};

/**
 * The order of a start. Under isolation: all closed, tools out, coupling apart. Isolation lifted by name, a bump for the direction,
 * uncoupled; isolated again, coupled, aligned, guards on; isolation lifted by name. Where it cannot be uncoupled the direction is proved
 * another way, and how is written down. Common practice, no source; local rules and permits come first.
 */
export function startOrder(o: StartOrder): GateItem[] {
  const ask = (id: string, text: Text, more: Partial<GateItem> = {}) => item(o.group, id, text, more);
  const direction: Record<Drive, GateItem[]> = {
    coupling: [
      ask('apart', M.couplingApartNothingCanDrive),
      ask('bumplift', M.isolationLiftedBumpWhoeverSet, { mayNote: M.whom }),
      ask('bumped', M.motorBumpedCouplingApartTurns),
      ask('isolatedagain', M.isolatedAgainLockedTaggedMe, {
        mayNote: COMMON.lockPermitNumber,
      }),
      ask('coupled', o.coupled ?? M.couplingJoinedAligned),
    ],
    fixed: [ask('direction', M.directionRotationProvedBeforeDrives, { note: true })],
    untouched: [],
  };
  return [...o.isolated, ...direction[o.drive], ask('guards', o.guards), o.lifted];
}
