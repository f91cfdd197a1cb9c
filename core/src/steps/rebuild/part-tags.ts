import { answerTo } from '../../engine/facts.ts';
import type { Setup } from '../../engine/setup.ts';
import { type GateItem, kindFamily, type StepDefinition } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr, inline } from '../../message/message.ts';
import { M } from './messages.ts';

/** What becomes of a part taken off. */
export const TAGS = { renew: M.renew, reuse: M.useAgain, spare: M.keepAsSpare } as const;
export type Tag = keyof typeof TAGS;
/** A part to be tagged; `renewed` says why it is never used again. */
export type TaggedPart = { id: string; name: Text; renewed?: Text };
export type PartTagsValues = { parts: Array<TaggedPart & { tag: Tag | null }> };

export const partTags = kindFamily<Setup, PartTagsValues>('part-tags');

const isTag = (note: string | undefined): note is Tag => note !== undefined && Object.hasOwn(TAGS, note);

/** Parts laid out and tagged one by one: renewed, used again, or kept as a spare. What must be new is a stop otherwise. */
export function tagStep<S extends Setup>(parts: readonly TaggedPart[]): StepDefinition<S> {
  const items: GateItem[] = parts.map((p) => ({
    id: p.id,
    group: COMMON.parts,
    ask: expr`${p.name}?`,
    note: true,
  }));
  const kind = partTags.kind<S>({
    report(facts, step) {
      const seen = parts.map((p) => {
        const note = answerTo(facts, step.id, p.id, 'any')?.note;
        return { ...p, tag: isTag(note) ? note : null };
      });
      const open = seen.filter((p) => p.tag === null);
      const findings: Finding[] = seen
        .filter((p) => p.renewed && p.tag === 'reuse')
        .map((p) => ({
          code: `tags.${p.id}`,
          verdict: 'reject',
          reason: M.notUsedAgain({ name: p.name, renewed: p.renewed }),
          params: { name: p.name, renewed: p.renewed },
          source: 'practice',
          remedy: M.takeNewOneFromKit,
          acceptable: false,
        }));
      if (open.length > 0)
        findings.push({
          code: 'tags.open',
          verdict: 'incomplete',
          reason: M.partsStillTagged({ count: open.length, count2: seen.length }),
          params: { length: open.length, length2: seen.length },
          acceptable: false,
        });
      return {
        findings,
        working: [],
        beams: [],
        values: { parts: seen },
        next: null,
        act: open[0] ? M.tag({ name: inline(open[0].name) }) : (findings[0]?.reason ?? M.everyPartTagged),
      };
    },
  });
  return {
    id: 'tags',
    title: M.partsTagged,
    kind,
    guide: M.laidOutOrderTheyCame,
    items,
  };
}
