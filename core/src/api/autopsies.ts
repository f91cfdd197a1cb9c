import { array, type InferType, mixed, object, string } from 'yup';
import type { CauseTold } from '../autopsy/autopsy.ts';
import { failureGuideOf } from '../engine/trades.ts';
import { COMMON } from '../message/common/messages.ts';
import { M } from './messages.ts';
import '../judgement/sentences.ts';

/** What was seen on a part that came out: answers by question, words of one’s own, and the job it was fitted by. */
export const autopsySchema = object({
  kind: string()
    .required(M.whatCameOut)
    .test('guide', M.whatCameOut, (id) => failureGuideOf(id ?? '') !== undefined),
  jobId: string().length(36),
  seen: mixed<Record<string, string>>()
    .required()
    .test('seen', M.answersWordsQuestion, (v) => {
      const all = v !== null && typeof v === 'object' && !Array.isArray(v) ? Object.values(v) : null;
      return all !== null && all.length > 0 && all.every((a) => typeof a === 'string');
    }),
  words: string().max(1000, M.thousandLettersMost).default(''),
  /** Photographs of it, by the SHA-256 of their files. */
  photos: array(
    string()
      .matches(/^[0-9a-f]{64}$/, { message: COMMON.photographNamedSha256File })
      .required(),
  )
    .max(8, M.eightPhotographsMost)
    .default([]),
})
  .noUnknown()
  .test('answers', (v, context) => {
    if (!v?.kind || v.seen === null || typeof v.seen !== 'object') return true;
    // An unknown kind has its own sentence already.
    const questions = failureGuideOf(v.kind)?.questions ?? [];
    if (questions.length === 0) return true;
    const wrong = Object.entries(v.seen).find(
      ([q, a]) => !questions.find((x) => x.id === q)?.answers.some(([id]) => id === a),
    );
    return wrong
      ? context.createError({ path: `seen.${wrong[0]}`, message: COMMON.thereNoSuchAnswer })
      : true;
  });
export type AutopsyAsk = InferType<typeof autopsySchema>;

/** An autopsy as it is kept: with what it was put down to on the day. */
export type AutopsyTold = {
  id: string;
  kind: string;
  jobId: string | null;
  seen: Record<string, string>;
  words: string;
  /** Left out where it was told before photographs could go with it. */
  photos?: string[];
  livedDays: number | null;
  causes: CauseTold[];
  by: string;
  at: string;
};
