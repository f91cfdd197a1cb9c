import type { Setup } from '../engine/setup.ts';
import type { Signature } from '../engine/state.ts';
import { stepKind } from '../engine/step.ts';

export type SignatureValues = { signed: Signature | null };

/** The fitter's name under the sheet closes the job. */
export const signature = stepKind<Setup, SignatureValues>('signature', {
  signs: true,
  report(facts) {
    return {
      findings: facts.signed
        ? []
        : [
            {
              code: 'sign.open',
              verdict: 'incomplete',
              reason: 'The sheet is not signed.',
              params: {},
              remedy: 'Read it through, then sign with your name.',
              acceptable: false,
            },
          ],
      working: [],
      beams: [],
      values: { signed: facts.signed },
      next: null,
      act: facts.signed ? `Signed by ${facts.signed.name}.` : 'Read the sheet through and sign.',
    };
  },
});
