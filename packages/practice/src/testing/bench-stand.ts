import { allRigs, layOut, rigOf } from '../rigs.ts';
import '../../../../core/src/trades/registry.ts';

/** Every bench there is. */
export const RIGS = allRigs();
export const rig = (id: string) => rigOf(id) as NonNullable<ReturnType<typeof rigOf>>;

/** A bench of one fault alone, the first seed that lays it. @throws where none does */
export function withFault(id: string, fault: string) {
  for (let seed = 1; seed < 200; seed++) {
    const laid = layOut(rig(id), seed, 'one');
    if (laid.faults.has(fault)) return laid;
  }
  throw new Error(`no seed lays ${fault}`);
}
