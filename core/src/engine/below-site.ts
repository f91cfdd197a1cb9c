import type { Finding } from '../judgement/result.ts';
import { chosenOf } from '../sources/methods.ts';
import { DEPTH, depthOf, isLessDeep } from './depth.ts';
import { M } from './messages.ts';
import type { Facts } from './state.ts';

/** Checked less deep than the site's rule had it when the job was opened: only a lead hand may say so. */
export function belowSite(facts: Facts): Finding[] {
  const { setup } = facts;
  const ruled = setup.schools?.[DEPTH.id] === undefined ? null : chosenOf(setup.schools, DEPTH);
  const depth = depthOf(setup);
  if (ruled === null || !isLessDeep(depth, ruled)) return [];
  const said = facts.setupChanges.findLast((c) => depthOf(c.before) !== depthOf(c.after)) ?? facts.opened;
  return said.author.role === 'lead'
    ? []
    : [
        {
          code: 'sign.depth',
          verdict: 'reject',
          reason: M.lessDeepThanSite({ depth, ruled }),
          params: { depth, ruled },
          source: 'plant',
          remedy: M.leadHandAcceptsDepth,
          acceptable: true,
        },
      ];
}
