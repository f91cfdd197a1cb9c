import { boltSize } from '../arithmetic/bolting/threads.ts';
import { boltTorque } from '../arithmetic/bolting/torque.ts';
import type { BoltSet } from './bearing/fitting-parts.ts';

/** The torque a set of bolts is to get, N·m, as its step works it out; undefined while its size is not said. */
export function torqueOfSet(set: BoltSet): number | undefined {
  if (set.makerTorqueNm !== undefined) return set.makerTorqueNm;
  const { size, grade, friction } = set;
  return size && grade && boltSize(size) ? boltTorque({ size, grade, friction }).values.torqueNm : undefined;
}

/** The largest of some torques, N·m, of those that are said; undefined where none is. @example largest(12, undefined, 30) // 30 */
export function largest(...nm: ReadonlyArray<number | undefined>): number | undefined {
  const said = nm.filter((n): n is number => n !== undefined);
  return said.length > 0 ? Math.max(...said) : undefined;
}
