import type { FixedNamed } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import type { BearingSetup } from './bearing-setup.ts';

export type FixedFirstValues = { named: FixedNamed | null };

/**
 * The fixed bearing of the shaft is mounted before the floating one. It is named by its own job, which the server looks up: it
 * must be of the same machine, fixed, and locked. Where there is no sheet of it a lead hand says so by name.
 */
export const fixedFirst = stepKind<BearingSetup, FixedFirstValues>('fixed-first', {
  names: true,
  report(facts) {
    const named = facts.fixedNamed.at(-1) ?? null;
    const finding: Finding = named
      ? {
          code: 'fixed.first',
          verdict: 'accept',
          reason: `The fixed bearing is on: ${named.position}${named.sheet ? `, sheet ${named.sheet}` : ''}.`,
          params: { position: named.position, sheet: named.sheet ? named.sheet : null },
          source: 'practice',
          acceptable: false,
        }
      : {
          code: 'fixed.first',
          verdict: 'reject',
          reason: 'The fixed bearing of this shaft is not named: it goes on first, the float is set from it.',
          params: {},
          source: 'practice',
          remedy: 'Name its job here. If it was mounted without a sheet, a lead hand accepts that by name.',
          acceptable: true,
        };
    return {
      findings: [finding],
      working: [],
      beams: [],
      values: { named } satisfies FixedFirstValues,
      next: null,
      act: named ? `${named.position} is on.` : 'Which job mounted the fixed bearing of this shaft?',
    };
  },
});
