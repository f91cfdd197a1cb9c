import { choice } from '../engine/asked.ts';
import type { GateItem } from '../engine/step.ts';
import { item } from './questions.ts';

/** What was done to the drive: it decides how the direction of rotation is proved before the start. */
const DRIVES = {
  coupling: 'by a coupling that comes apart',
  fixed: 'cannot be uncoupled',
  untouched: 'motor and coupling were not touched',
} as const;
export type Drive = keyof typeof DRIVES;

/** How the machine is driven, as a setup says it; what nobody says is `usual`. */
export const driveField = (usual: Drive, group = 'Place') =>
  choice(group, 'Driven', DRIVES, { fallback: usual });

type StartOrder = {
  drive: Drive;
  group: string;
  /** All that is done while the machine is still isolated: closed, tools out, filled. */
  isolated: readonly GateItem[];
  coupled?: string;
  guards: string;
  /** The last isolation lifted, by name. */
  lifted: GateItem;
};

/**
 * The order of a start. Under isolation: all closed, tools out, coupling apart. Isolation lifted by name, a bump for the direction,
 * uncoupled; isolated again, coupled, aligned, guards on; isolation lifted by name. Where it cannot be uncoupled the direction is proved
 * another way, and how is written down. Common practice, no source; local rules and permits come first.
 */
export function startOrder(o: StartOrder): GateItem[] {
  const ask = (id: string, text: string, more: Partial<GateItem> = {}) => item(o.group, id, text, more);
  const direction: Record<Drive, GateItem[]> = {
    coupling: [
      ask('apart', 'Coupling apart; nothing can drive the machine.'),
      ask('bumplift', 'Isolation lifted for the bump, by whoever set it.', { mayNote: 'by whom' }),
      ask('bumped', 'Motor bumped with the coupling apart: it turns the way the arrow points.'),
      ask('isolatedagain', 'Isolated again, locked and tagged by me; try-start done.', {
        mayNote: 'lock or permit number',
      }),
      ask('coupled', o.coupled ?? 'Coupling joined and aligned.'),
    ],
    fixed: [
      ask('direction', 'Direction of rotation proved before it drives the machine: how?', { note: true }),
    ],
    untouched: [],
  };
  return [...o.isolated, ...direction[o.drive], ask('guards', o.guards), o.lifted];
}
