/** Findings, limits and their sources, and how a reading is judged. */

export { decisionSum } from '../judgement/decision-sum.ts';
export { jsonSchemaOf } from '../judgement/json-schema.ts';
export { isDay } from '../judgement/moments.ts';
export type { Beam, CalculatorResult, Finding, WorkingLine } from '../judgement/result.ts';
export { check } from '../judgement/sentences.ts';
export { decide, VERDICT_WORD, type Verdict } from '../metrology/decision.ts';
export { type Hand, handOver, readingUncertainty } from '../metrology/hand.ts';
export { CARD_READINGS, handCard } from '../metrology/hand-card.ts';
export { normal, randomFrom } from '../metrology/random.ts';
export { chosenOf, type SiteRules } from '../sources/methods.ts';
export { sourceOf } from '../sources/register.ts';
