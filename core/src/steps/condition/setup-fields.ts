import { number } from 'yup';
import { BOX_FACE, type FaceMethod } from '../../arithmetic/box/limits.ts';
import { END_PLAY, type EndPlayMethod, RUNOUT, type RunoutMethod } from '../../arithmetic/shaft/limits.ts';
import { ask, choice, measured } from '../../engine/asked.ts';
import { COMMON } from '../../message/common/messages.ts';
import { len } from '../../quantities/say.ts';
import { fromSheet, HOUSE_RULES, rulesAsked } from '../setup-parts.ts';
import { M } from './messages.ts';

/** Methods every trade shares that measures a shaft and what is round it. */
export const SHAFT_METHODS = [RUNOUT, BOX_FACE, END_PLAY];

/** The methods that judge a shaft, asked for by the job. */
export const shaftSchools = rulesAsked({
  [RUNOUT.id]: choice<RunoutMethod>(HOUSE_RULES, M.runOut, {
    proportional: COMMON.thousandthShaft,
    flat: M.flat({ value: len(0.05, 2) }),
    standards: M.standards({ value: len(0.025) }),
  }).required(),
  [BOX_FACE.id]: choice<FaceMethod>(HOUSE_RULES, COMMON.boxFace, {
    standards: M.halfThousandthBore,
    proportional: M.fiveThousandthsShaft,
    flat: M.flat({ value: len(0.05, 2) }),
  }).required(),
  [END_PLAY.id]: choice<EndPlayMethod>(HOUSE_RULES, COMMON.endPlay, {
    strict: len(0.13, 2),
    flat: len(0.25, 2),
  }).required(),
});

/** What a job says of the shaft it measures. */
export const shaftFields = {
  shaftSystem: choice(
    COMMON.shaft,
    COMMON.shaft2,
    { metric: M.metric, inch: M.inchCommercial },
    { ofPlace: true },
  ).required(),
  shaftMm: number()
    .min(15)
    .max(480)
    .required()
    .meta(ask(COMMON.shaft, COMMON.shaftDiameter, { decimals: 3, ofPlace: true })),
  seatMm: number()
    .min(10)
    .max(600)
    .required()
    .meta(ask(COMMON.shaft, M.seatLength, { decimals: 1, ofPlace: true })),
  stations: number().integer().min(2).max(6).required().meta(ask(COMMON.shaft, M.stationsAlong)),
  angles: number().integer().min(2).max(8).required().meta(ask(COMMON.shaft, M.anglesEach)),
};

/** What a maker may say of the shaft, and of what is measured on it. */
export const makerShaft = {
  shaftLowerMm: fromSheet(500, M.shaftLeast),
  shaftUpperMm: fromSheet(500, M.shaftMost),
};
export const makerCondition = {
  runoutMm: fromSheet(5, M.runOut, { when: measured('runout') }),
  finishUm: fromSheet(50, M.finishRa, { when: measured('finish') }),
  endPlayMm: fromSheet(5, COMMON.endPlay, { when: measured('play') }),
  radialPlayMm: fromSheet(5, COMMON.radialPlay, { when: measured('play') }),
  faceMm: fromSheet(5, COMMON.boxFace, { when: measured('face') }),
  boreMm: fromSheet(5, M.boxBoreShaft, { when: measured('bore') }),
  softFootMm: fromSheet(2, M.gapFoot, { when: measured('softfoot') }),
  abilityDeg: fromSheet(5, M.bearingTakesUpDegrees, { when: measured('housings') }),
  offsetMm: fromSheet(2, M.couplingOffset, { when: measured('coupling') }),
  anglePer100Mm: fromSheet(2, M.couplingAnglePer100, { when: measured('coupling') }),
};
