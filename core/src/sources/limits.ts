import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { MessageError } from '../quantities/message-error.ts';
import { len } from '../quantities/say.ts';
import { M } from './messages.ts';
import { type SourceId, sourceOf } from './register.ts';

/** One method's limit, for one shaft or box, mm. */
export type MethodLimit = {
  school: string;
  title: Text;
  limitMm: number;
  source: SourceId;
  /** It goes with the size, as its title says: its number is of one size only. */
  perMm?: true;
};

/** The limit that judges, and what the other methods would have said. */
export type LimitInForce = MethodLimit & { others: MethodLimit[] };

/**
 * The limit in force among those of the methods: the maker's value outranks them all, then the method chosen; the others are
 * kept beside it. @throws RangeError where the chosen method is not among them
 */
export function limitInForce(
  limits: readonly MethodLimit[],
  chosen: string,
  makerMm?: number | undefined,
): LimitInForce {
  if (makerMm !== undefined)
    return {
      school: 'maker',
      title: COMMON.makerSSheet,
      limitMm: makerMm,
      source: 'maker',
      others: [...limits],
    };
  const found = limits.find((s) => s.school === chosen);
  if (!found) throw new MessageError(M.thereNoSchoolHere({ chosen }));
  return { ...found, others: limits.filter((s) => s !== found) };
}

/** A limit that is common practice, the only one there is. */
export const byPractice = (limitMm: number, title = COMMON.commonPractice): MethodLimit => ({
  school: 'practice',
  title,
  limitMm,
  source: 'practice',
});

/** Limits as answers a site chooses among: in proportion by their own words, flat by their number. */
export const limitAnswers = <K extends string>(
  limits: ReadonlyArray<MethodLimit & { school: K }>,
): Array<readonly [K, Text, Text]> =>
  limits.map((s) => [
    s.school,
    s.perMm ? s.title : M.whateverSize({ limit: len(s.limitMm) }),
    sourceOf(s.source).title,
  ]);
