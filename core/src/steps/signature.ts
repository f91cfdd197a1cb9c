import type { Setup } from '../engine/setup.ts';
import type { Signature } from '../engine/state.ts';
import { stepKind } from '../engine/step.ts';
import { COMMON } from '../message/common/messages.ts';
import { M } from './messages.ts';

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
              reason: M.sheetNotSigned,
              params: {},
              remedy: M.readThroughThenSignYour,
              acceptable: false,
            },
          ],
      working: [],
      beams: [],
      values: { signed: facts.signed },
      next: null,
      act: facts.signed ? COMMON.signed2({ name: facts.signed.name }) : M.readSheetThroughSign,
    };
  },
});
