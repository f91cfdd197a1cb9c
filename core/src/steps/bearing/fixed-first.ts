import { object, string } from 'yup';
import { type Act, lastDone } from '../../engine/act.ts';
import type { ActDone, Stamp } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { isMoment } from '../../judgement/moments.ts';
import type { Finding } from '../../judgement/result.ts';
import { isText } from '../../message/message.ts';
import { fixedBearingOn } from './fixed-bearing.ts';
import { M } from './messages.ts';
import '../../judgement/sentences.ts';
import type { BearingSetup } from './bearing-setup.ts';

/** The job of the fixed bearing, as it is named. */
export type FixedNamed = { job: string; position: string; sheet: string | null; lockedAt: string };

const namedSchema = object({
  job: string().length(36).required(),
  position: string().min(1).max(80).required(),
  sheet: string().max(40).nullable().defined(),
  lockedAt: string()
    .test('moment', M.timeLockedWrittenLike2026, (t) => isMoment(t ?? ''))
    .required(),
}).noUnknown();

/** The job that mounted the fixed bearing is named; the server keeps of it what its own record says. */
export const NAME_FIXED: Act = {
  id: 'name-fixed',
  formerly: 'fixed.named',
  params: namedSchema,
  may: (state, { job }) => (job === state.jobId ? M.fixedBearingAnotherJobSame : null),
  ofOtherJob(other, sheet, state) {
    const fixed = fixedBearingOn(other, state.setup.machine);
    return isText(fixed) ? fixed : { job: other.jobId, sheet, ...fixed };
  },
};

export type FixedFirstValues = { named: FixedNamed | null };

/** A job as it was named, by whom and when, as far as it was told whole. */
function namedIn(done: ActDone | undefined): (FixedNamed & Stamp) | null {
  if (!done || !namedSchema.isValidSync(done.params)) return null;
  const { id: _id, act: _act, reason: _reason, params: _params, ...stamp } = done;
  return { ...stamp, ...namedSchema.cast(done.params) };
}

/**
 * The fixed bearing of the shaft is mounted before the floating one. It is named by its own job, which the server looks up: it
 * must be of the same machine, fixed, and locked. Where there is no sheet of it a lead hand says so by name.
 */
export const fixedFirst = stepKind<BearingSetup, FixedFirstValues>('fixed-first', {
  acts: [NAME_FIXED],
  report(facts) {
    const named = namedIn(lastDone(facts, NAME_FIXED.id));
    const finding: Finding = named
      ? {
          code: 'fixed.first',
          verdict: 'accept',
          reason: M.fixedBearing({
            position: named.position,
            sheet: named.sheet ? M.sheet({ sheet: named.sheet }) : '',
          }),
          params: { position: named.position, sheet: named.sheet ? named.sheet : null },
          source: 'practice',
          acceptable: false,
        }
      : {
          code: 'fixed.first',
          verdict: 'reject',
          reason: M.fixedBearingShaftNotNamed,
          params: {},
          source: 'practice',
          remedy: M.nameJobHereIfMounted,
          acceptable: true,
        };
    return {
      findings: [finding],
      working: [],
      beams: [],
      values: { named } satisfies FixedFirstValues,
      next: null,
      act: named ? M.isOn({ position: named.position }) : M.whichJobMountedFixedBearing,
    };
  },
});
