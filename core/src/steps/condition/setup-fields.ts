import { number } from 'yup';
import { BOX_FACE, type FaceMethod } from '../../arithmetic/box/limits.ts';
import { END_PLAY, type EndPlayMethod, RUNOUT, type RunoutMethod } from '../../arithmetic/shaft/limits.ts';
import { ask, choice, measured } from '../../engine/asked.ts';
import { len } from '../../quantities/say.ts';
import { fromSheet, HOUSE_RULES, rulesAsked } from '../setup-parts.ts';

/** Methods every trade shares that measures a shaft and what is round it. */
export const SHAFT_METHODS = [RUNOUT, BOX_FACE, END_PLAY];

/** The methods that judge a shaft, asked for by the job. */
export const shaftSchools = rulesAsked({
  [RUNOUT.id]: choice<RunoutMethod>(HOUSE_RULES, 'Run-out', {
    proportional: 'a thousandth of the shaft',
    flat: `flat ${len(0.05, 2)}`,
    standards: `standards, ${len(0.025)}`,
  }).required(),
  [BOX_FACE.id]: choice<FaceMethod>(HOUSE_RULES, 'Box face', {
    standards: 'half a thousandth of the bore',
    proportional: 'five thousandths of the shaft',
    flat: `flat ${len(0.05, 2)}`,
  }).required(),
  [END_PLAY.id]: choice<EndPlayMethod>(HOUSE_RULES, 'End play', {
    strict: len(0.13, 2),
    flat: len(0.25, 2),
  }).required(),
});

/** What a job says of the shaft it measures. */
export const shaftFields = {
  shaftSystem: choice(
    'Shaft',
    'Shaft is',
    { metric: 'metric', inch: 'inch commercial' },
    { ofPlace: true },
  ).required(),
  shaftMm: number()
    .min(15)
    .max(480)
    .required()
    .meta(ask('Shaft', 'Shaft diameter', { decimals: 3, ofPlace: true })),
  seatMm: number()
    .min(10)
    .max(600)
    .required()
    .meta(ask('Shaft', 'Seat length', { decimals: 1, ofPlace: true })),
  stations: number()
    .integer()
    .min(2)
    .max(6)
    .required()
    .meta(ask('Shaft', 'Stations along it', { ofPlace: true })),
  angles: number()
    .integer()
    .min(3)
    .max(8)
    .required()
    .meta(ask('Shaft', 'Angles at each', { ofPlace: true })),
};

/** What a maker may say of the shaft, and of what is measured on it. */
export const makerShaft = {
  shaftLowerMm: fromSheet(500, 'Shaft, least'),
  shaftUpperMm: fromSheet(500, 'Shaft, most'),
};
export const makerCondition = {
  runoutMm: fromSheet(5, 'Run-out', { when: measured('runout') }),
  finishUm: fromSheet(50, 'Finish, Ra', { when: measured('finish') }),
  endPlayMm: fromSheet(5, 'End play', { when: measured('play') }),
  radialPlayMm: fromSheet(5, 'Radial play', { when: measured('play') }),
  faceMm: fromSheet(5, 'Box face', { when: measured('face') }),
  boreMm: fromSheet(5, 'Box bore to shaft', { when: measured('bore') }),
  softFootMm: fromSheet(2, 'Gap at a foot', { when: measured('softfoot') }),
  abilityDeg: fromSheet(5, 'Bearing takes up, degrees', { when: measured('housings') }),
  offsetMm: fromSheet(2, 'Coupling offset', { when: measured('coupling') }),
  anglePer100Mm: fromSheet(2, 'Coupling angle per 100', { when: measured('coupling') }),
};
