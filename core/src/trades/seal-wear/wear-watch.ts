import { sealWear, type WearValues } from '../../arithmetic/seals/wear.ts';
import { standing } from '../../engine/facts.ts';
import type { Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { nextCount, rowOf } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { inHand } from '../../steps/in-hand.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { M } from './messages.ts';
import type { WearSetup } from './setup.ts';

export type WearWatchValues = WearValues & {
  points: Array<{ days: number; projectionMm: number }>;
  /** The day the robust line reaches where the service is due, as 2026-11-26; null where it does not. */
  dueOn: string | null;
  /** The band of that day at 95 %: from, to; the latter null where no end can be told. */
  dueBand: { from: string; to: string | null } | null;
  /** When it is looked at again. */
  dueAt: string | null;
};

const DAY_MS = 86_400_000;
/** Looked at again after a quarter of a year, or half way to where it is due. Common practice, no source. */
const LOOK_DAYS = 91;

/** The wear of a seal, measured again and again against its baseline; the robust line says when the service is due. */
export const wearWatch = stepKind<WearSetup, WearWatchValues>('wear-watch', {
  essential: true,
  report(facts, step) {
    const { fittedOn, baselineMm, serviceMm } = facts.setup;
    const fitted = Date.parse(`${fittedOn}T00:00:00Z`);
    const taken = rowOf(standing(facts, step.id, 'any'), 'wear/');
    const points = [
      { days: 0, projectionMm: baselineMm },
      ...taken.map((r) => ({
        days: Math.max(0, Math.round((10 * (Date.parse(r.at) - fitted)) / DAY_MS) / 10),
        projectionMm: r.value,
      })),
    ];
    const result = sealWear({
      readings: points,
      serviceMm,
      ...inHand(taken, 0.001),
    });
    const { dueDays, leftDays, dueFromDays, dueToDays } = result.values;
    const day = (days: number) => new Date(fitted + days * DAY_MS).toISOString().slice(0, 10);
    const lastMs = Date.parse(taken.at(-1)?.at ?? '');
    const over = result.findings.some((f) => f.verdict === 'reject');
    const ahead = leftDays === null ? LOOK_DAYS : Math.max(1, Math.min(LOOK_DAYS, leftDays / 2));
    const dueAt = Number.isNaN(lastMs) || over ? null : new Date(lastMs + ahead * DAY_MS).toISOString();
    return {
      ...result,
      dueAt,
      findings: [...result.findings, ...itemFindings(facts, step), ...gaugeFindings(taken)],
      values: {
        ...result.values,
        points,
        dueOn: dueDays === null ? null : day(dueDays),
        dueBand:
          dueFromDays === null
            ? null
            : { from: day(dueFromDays), to: dueToDays === null ? null : day(dueToDays) },
        dueAt,
      } satisfies WearWatchValues,
      next: wearPlace(nextCount(taken, 'wear/')),
      act: over ? M.serviceDue2 : taken.length === 0 ? M.measureWhereSealStandsToday : M.measuredAgainWhenDue,
    };
  },
  place(facts, step, key) {
    const n = nextCount(standing(facts, step.id, 'any'), 'wear/');
    return key === `wear/${n}` ? wearPlace(n) : COMMON.readingsComeOneAfterOther;
  },
});

const wearPlace = (n: number): Place => ({
  key: `wear/${n}`,
  label: M.projectionNowProud,
  quantity: 'dial',
  low: -20,
  high: 50,
  instrumentKinds: ['caliper', 'dial', 'feeler'],
});
