import { acceptanceOf } from '../../engine/facts.ts';
import { lackingAt } from '../../engine/lacking.ts';
import type { Facts, StepReport } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import type { Text } from '../../message/message.ts';
import { inline, listOf } from '../../message/message.ts';
import { MEASURE_TITLE, MEASURES } from '../../steps/condition/condition.ts';
import { M } from './messages.ts';
import type { ConditionSetup } from './setup.ts';

export type VerdictLine = {
  step: string;
  title: Text;
  verdict: 'accept' | 'caution' | 'too-close' | 'reject';
  /** Cautions, which do not stand against it. */
  cautions: Text[];
  against: Array<{ code: string; reason: Text; remedy: Text | null; accepted: string | null }>;
};
export type VerdictValues = { fit: 'fit' | 'not-fit' | 'undecided'; lines: VerdictLine[] };

const isOver = (f: Finding) => f.verdict === 'reject' || f.verdict === 'too-close';

function lineOf(facts: Facts<ConditionSetup>, id: string, title: Text, report: StepReport): VerdictLine {
  const against = report.findings.filter(isOver).map((f) => ({ f, by: acceptanceOf(facts, id, f) }));
  const standing = against.filter((a) => !a.by).map((a) => a.f);
  return {
    step: id,
    title,
    verdict: standing.some((f) => f.verdict === 'reject')
      ? 'reject'
      : standing.length > 0
        ? 'too-close'
        : against.length > 0 || report.findings.some((f) => f.verdict === 'caution')
          ? 'caution'
          : 'accept',
    cautions: report.findings.filter((f) => f.verdict === 'caution').map((f) => f.reason),
    against: against.map(({ f, by }) => ({
      code: f.code,
      reason: f.reason,
      remedy: f.remedy ?? null,
      accepted: by ? `${by.author.name}: ${by.reason}` : null,
    })),
  };
}

/** What the survey comes to: fit to receive a part, or what stands against it. It can be signed either way. */
export const verdict = stepKind<ConditionSetup, VerdictValues>('survey-verdict', {
  report(facts, _step, carried) {
    const lines = MEASURES.flatMap((id) => {
      const report = carried[id];
      return report ? [lineOf(facts, id, MEASURE_TITLE[id], report)] : [];
    });
    const stops = lines.filter((l) => l.verdict === 'reject');
    const open = lines.filter((l) => l.verdict === 'too-close');
    const accepted = lines.flatMap((l) => l.against.filter((a) => a.accepted));
    const fit = stops.length > 0 ? 'not-fit' : open.length > 0 ? 'undecided' : 'fit';
    const names = (of: VerdictLine[]) =>
      listOf(
        of.map((l) => inline(l.title)),
        ', ',
      );
    // Said not to be measured, a step speaks neither for nor against.
    const unread = lines.filter((l) => lackingAt(facts, l.step)).map((l) => inline(l.title));
    const finding: Finding = {
      code: 'verdict.fit',
      acceptable: false,
      source: 'practice',
      ...(fit === 'not-fit'
        ? {
            verdict: 'reject',
            reason: M.notFitReceivePart({ names: names(stops) }),
            params: { stops: names(stops) },
            remedy: M.followRemediesMeasureThoseSteps,
          }
        : fit === 'undecided'
          ? {
              verdict: 'too-close',
              reason: M.undecidedTooCloseCall({ names: names(open) }),
              params: { open: names(open) },
              remedy: M.repeatReadingsNamedThereUse,
            }
          : {
              verdict: accepted.length + unread.length > 0 ? 'caution' : 'accept',
              reason:
                unread.length > 0
                  ? M.fitWhatMeasuredNotMeasured({ unread: listOf(unread, ', ') })
                  : accepted.length > 0
                    ? M.fitReceiveAcceptedName({
                        count:
                          accepted.length === 1 ? M.oneDeviation : M.deviations({ count: accepted.length }),
                      })
                    : M.fitReceiveEverythingAskedPassed,
              params: { accepted: accepted.length, unread: listOf(unread, ', ') },
            }),
    };
    return {
      findings: [finding],
      working: [],
      beams: [],
      values: { fit, lines } satisfies VerdictValues,
      next: null,
      act: finding.reason,
    };
  },
});
