import { seesWith, usualStep } from '../../judgement/seeing.ts';
import { expr } from '../../message/message.ts';
import { type Decision, decide } from '../../metrology/decision.ts';
import { fitLine } from '../../metrology/line.ts';
import { saySettle, settle } from '../../metrology/settle.ts';
import { inQuadrature } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';
import { at, type Context, higher, lower, type Spot } from './diameter-spots.ts';
import { M } from './messages.ts';
import { finestGrade, tidy } from './tolerance.ts';

/**
 * The step with which a form is seen that the gauge in hand leaves open: inside its limit as read, or narrower than the gauge could
 * ever show. It goes on with a caution then, and says which gauge would tell. Null where the gauge in hand can settle it.
 */
function formLeftOpen(
  { input, formLimitMm }: Pick<Context, 'input' | 'formLimitMm'>,
  d: Pick<Decision, 'verdict' | 'marginMm'>,
): number | null {
  if (d.verdict !== 'too-close') return null;
  const by = { stepMm: input.resolutionMm, places: 2 as const, rule: input.rule };
  const unseen = seesWith(formLimitMm, by);
  if (unseen !== null || d.marginMm < 0) return unseen;
  return usualStep(settle({ ...by, marginMm: d.marginMm, count: 1, hand: input.hand }).stepMm);
}

/** Out-of-round of one station: largest less smallest diameter there. */
export function judgeOvality(context: Context, row: Spot[], s: number): number | null {
  if (row.length < 2) return null;
  const { input, formLimitMm, findings, working } = context;
  const [max, min] = [row.reduce(higher), row.reduce(lower)];
  const oval = tidy(max.mm - min.mm);
  const d = decide(oval, inQuadrature(max.u, min.u), { upper: formLimitMm }, input.rule);
  const finer = formLeftOpen(context, d);
  working.push({
    what: M.outRoundStation({ s: s + 1 }),
    sum: expr`${num(max.mm)} − ${num(min.mm)} = ${len(oval)}`,
  });
  // Within the limit as read: what the gauge leaves open is said once, of the whole form.
  if (d.verdict === 'reject' || (d.verdict === 'too-close' && d.marginMm < 0))
    findings.push({
      code: `shaft.ovality.${s + 1}`,
      verdict: finer ? 'caution' : d.verdict,
      reason: M.stationOutRound({
        s: s + 1,
        oval: len(oval),
        verdict: d.verdict === 'reject' ? 'overFormLimit' : 'withinDoubtFormLimit',
      }),
      params: { s, oval, verdict: Boolean(d.verdict === 'reject') },
      limit: M.iT52({ formLimit: len(formLimitMm) }),
      source: 'iso-286',
      remedy:
        d.verdict === 'reject'
          ? M.dressHighSidesMeasureAgain
          : finer
            ? M.formNotSeenByGauge({ step: len(finer, 4) })
            : saySettle(
                settle({
                  marginMm: d.marginMm,
                  stepMm: input.resolutionMm,
                  count: Math.min(max.count, min.count),
                  hand: input.hand,
                  places: 2,
                  rule: input.rule,
                }),
                M.atAnd({ at: at(max), angle: min.angleDeg }),
              ),
      acceptable: true,
    });
  return oval;
}

/** Taper along the seat: least squares of the station means. */
export function judgeTaper(
  { input, formLimitMm, findings, working }: Context,
  stationMeansMm: Array<number | null>,
  u: number,
): { taperMmPer100: number | null; taperOverSeatMm: number | null } {
  const trend = stationMeansMm.flatMap((y, s) => (y === null ? [] : [{ x: input.stationsMm[s] ?? 0, y }]));
  const line = fitLine(trend, u / Math.sqrt(Math.max(1, input.anglesDeg.length)));
  if (!line) return { taperMmPer100: null, taperOverSeatMm: null };
  const seat = Math.max(...input.stationsMm) - Math.min(...input.stationsMm);
  const taperOverSeatMm = tidy(line.slope * seat);
  const taperMmPer100 = tidy(line.slope * 100);
  working.push({
    what: M.taper,
    sum: M.perOverSeat({
      taperMmPer100: num(taperMmPer100),
      value: len(100, 0),
      seat: len(seat, 0),
      taperOverSeat: len(taperOverSeatMm),
    }),
  });
  const d = decide(
    Math.abs(taperOverSeatMm),
    line.slopeUncertainty * seat,
    { upper: formLimitMm },
    input.rule,
  );
  const finer = formLeftOpen({ input, formLimitMm }, d);
  const inside = d.verdict === 'too-close' && d.marginMm >= 0;
  findings.push({
    code: 'shaft.taper',
    // Inside as read: what the gauge leaves open is said once, of the whole form.
    verdict: inside ? 'accept' : finer ? 'caution' : d.verdict,
    reason: M.seatFromFirstStationLast({
      taperOverSeat: taperOverSeatMm >= 0 ? 'grows' : 'shrinks',
      taperOverSeat2: len(Math.abs(taperOverSeatMm)),
      verdict:
        d.verdict === 'accept' || inside
          ? 'none'
          : d.verdict === 'reject'
            ? 'overFormLimit'
            : 'withinDoubtFormLimit',
    }),
    params: {
      taperOverSeatMm: Boolean(taperOverSeatMm >= 0),
      taperOverSeatMm2: Math.abs(taperOverSeatMm),
      verdict: d.verdict === 'accept' || inside ? null : Boolean(d.verdict === 'reject'),
    },
    limit: M.iT52({ formLimit: len(formLimitMm) }),
    source: 'iso-286',
    ...(d.verdict === 'accept' || inside
      ? {}
      : {
          remedy: finer ? M.formNotSeenByGauge({ step: len(finer, 4) }) : M.checkWholeSeatStraightedgeMarking,
        }),
    acceptable: true,
  });
  return { taperMmPer100, taperOverSeatMm };
}

/** All diameters against the form limit: what of it the gauge leaves open is said here, once. */
export function judgeForm(
  { input, formLimitMm, findings, working }: Context,
  largest: Spot,
  smallest: Spot,
): number {
  const formMm = tidy(largest.mm - smallest.mm);
  const d = decide(formMm, inQuadrature(largest.u, smallest.u), { upper: formLimitMm }, input.rule);
  const finer = formLeftOpen({ input, formLimitMm }, d);
  const grade = finestGrade(input.nominalMm, formMm);
  working.push({
    what: M.form,
    sum: expr`${num(largest.mm)} − ${num(smallest.mm)} = ${len(formMm)}, ${grade === null ? M.widerThanIT12 : M.keeps({ grade })}`,
  });
  findings.push({
    code: 'shaft.form',
    verdict: finer ? 'caution' : d.verdict,
    reason: M.allDiametersLieWithinEach({
      form: len(formMm),
      verdict:
        d.verdict === 'accept' ? 'text' : d.verdict === 'reject' ? 'whatGoesWillNotBear' : 'withinDoubtLimit',
    }),
    params: { formMm, verdict: d.verdict === 'accept' ? null : Boolean(d.verdict === 'reject') },
    limit: M.iT52({ formLimit: len(formLimitMm) }),
    source: 'iso-286',
    ...(d.verdict === 'accept'
      ? {}
      : { remedy: finer ? M.formNotSeenByGauge({ step: len(finer, 4) }) : M.dressMeasureAgainLocalBruise }),
    acceptable: true,
  });
  return formMm;
}
