import { bearingLife, goneBy, type LifeValues } from '../../arithmetic/bearings/life.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { M } from './messages.ts';
import type { DismountSetup } from './setup.ts';

export type LastedValues = LifeValues & { ranHours: number; gonePercent: number };

/** Gone so early, fatigue alone is an unlikely cause: one in ten. Our own choice, the meaning of a rating life. */
const EARLY_PERCENT = 10;

const thousands = (hours: number): string => `${Math.round(hours)} h`;

/** The parts that came off, and how long they lasted beside their rating life: gone early, something else was at work. */
export const lasted = stepKind<DismountSetup, LastedValues | null>('lasted', {
  quiet: true,
  report(facts, step) {
    const { ranHours, ratingKn, radialKn, speedRpm, reused } = facts.setup;
    const asked = itemFindings(facts, step);
    const act = asked[0]?.reason ?? COMMON.partsLookedOver;
    if (!ranHours || !ratingKn || !radialKn || !speedRpm)
      return { findings: asked, working: [], beams: [], values: null, next: null, act };
    const life = bearingLife({ kind: 'roller', ratingKn, radialKn, speedRpm });
    const gonePercent = goneBy(ranHours, life.values.hours);
    const early = gonePercent < EARLY_PERCENT && reused !== true;
    const finding: Finding = {
      code: 'lasted',
      verdict: early ? 'caution' : 'accept',
      reason: M.ranNineTenReachFatigue({
        thousands: thousands(ranHours),
        thousands2: thousands(life.values.hours),
        gonePercent: gonePercent < 1 ? M.fewerThanOne : Math.round(gonePercent),
      }),
      params: {
        ranHours: thousands(ranHours),
        hours: thousands(life.values.hours),
        gonePercent: gonePercent < 1 ? null : gonePercent,
      },
      source: 'iso-281',
      ...(early
        ? {
            remedy: M.ifWornOutNotAge,
          }
        : {}),
      acceptable: true,
    };
    return {
      findings: [finding, ...life.findings.filter((f) => f.code === 'life.heavy'), ...asked],
      working: life.working,
      beams: [],
      values: { ...life.values, ranHours, gonePercent } satisfies LastedValues,
      next: null,
      act,
    };
  },
});
