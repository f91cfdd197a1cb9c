import { array, boolean, number, object, string } from 'yup';
import { type Asked, ask, choice, measured } from '../engine/asked.ts';
import { len } from '../quantities/say.ts';
import {
  DECISION_RULES,
  DRIVE_UP_SCHOOLS,
  END_PLAY_SCHOOLS,
  FACE_SCHOOLS,
  FILL_SCHOOLS,
  FILMS,
  GAUGE_SCHOOLS,
  LEAK_SCHOOLS,
  O_RING_SCHOOLS,
  RACE_SCHOOLS,
  REGREASE_SCHOOLS,
  RUNOUT_SCHOOLS,
  SPACER_SCHOOLS,
  TAIL_SCHOOLS,
} from '../sources/schools.ts';
import '../judgement/sentences.ts';

const name = (label: string) =>
  string().trim().min(1, `${label} is missing.`).max(80).required(`${label} is missing.`);

/** House rules as a job took them over when it was opened, or as it was told otherwise. */
export const schoolsSchema = object({
  runout: string().oneOf(RUNOUT_SCHOOLS).required(),
  face: string().oneOf(FACE_SCHOOLS).required(),
  endPlay: string().oneOf(END_PLAY_SCHOOLS).required(),
  decision: string().oneOf(DECISION_RULES).required(),
  driveUp: string().oneOf(DRIVE_UP_SCHOOLS),
  fill: string().oneOf(FILL_SCHOOLS),
  race: string().oneOf(RACE_SCHOOLS),
  gauge: string().oneOf(GAUGE_SCHOOLS),
  film: string().oneOf(FILMS),
  regrease: string().oneOf(REGREASE_SCHOOLS),
  leak: string().oneOf(LEAK_SCHOOLS),
  oRings: string().oneOf(O_RING_SCHOOLS),
  tail: string().oneOf(TAIL_SCHOOLS),
  spacer: string().oneOf(SPACER_SCHOOLS),
}).noUnknown();

export const HOUSE_RULES = 'House rules on this job';

/** The same, those that judge a shaft asked for. */
const askedSchools = schoolsSchema.shape({
  runout: choice(HOUSE_RULES, 'Run-out', {
    proportional: 'a thousandth of the shaft',
    flat: `flat ${len(0.05, 2)}`,
    standards: `standards, ${len(0.025)}`,
  }).required(),
  face: choice(HOUSE_RULES, 'Box face', {
    standards: 'half a thousandth of the bore',
    proportional: 'five thousandths of the shaft',
    flat: `flat ${len(0.05, 2)}`,
  }).required(),
  endPlay: choice(HOUSE_RULES, 'End play', { strict: len(0.13, 2), flat: len(0.25, 2) }).required(),
  decision: choice(HOUSE_RULES, 'Decision', {
    k2: 'whole doubt (k = 2)',
    'one-sided': 'five sixths of it, one-sided (1.65 u)',
  }).required(),
});

/** Where the work is. */
export const placeFields = {
  machine: name('The machine').meta(ask('Place', 'Machine')),
  position: name('The position').meta(ask('Place', 'Position')),
};
/** What every job says beside its trade's own. */
export const everyJob = {
  partNumber: string().max(80).meta(ask('Place', 'Part, as stamped')),
  demo: boolean(),
};
/** Schools a job carries; asked for only where it judges a shaft. */
export const schools = schoolsSchema.optional().default(undefined);
export const shaftSchools = askedSchools.optional().default(undefined);

/** Steps a lead hand may be asked to release, and what they are called. */
export const holdBefore = <K extends string>(steps: Readonly<Record<K, string>>, group = 'Place') =>
  array(
    string()
      .oneOf(Object.keys(steps) as K[])
      .required(),
  )
    .max(5)
    .required()
    .meta(
      ask(group, 'Lead hand releases before', {
        options: [['', 'nothing'], ...Object.entries<string>(steps)],
      }),
    );

/** What a job says of the shaft it measures. */
export const shaftFields = {
  shaftSystem: choice('Shaft', 'Shaft is', { metric: 'metric', inch: 'inch commercial' }).required(),
  shaftMm: number()
    .min(15)
    .max(480)
    .required()
    .meta(ask('Shaft', 'Shaft diameter', { decimals: 3 })),
  seatMm: number()
    .min(10)
    .max(600)
    .required()
    .meta(ask('Shaft', 'Seat length', { decimals: 1 })),
  stations: number().integer().min(2).max(6).required().meta(ask('Shaft', 'Stations along it')),
  angles: number().integer().min(3).max(8).required().meta(ask('Shaft', 'Angles at each')),
};

export const MAKER = 'Maker’s sheet, outranks every table';

/** A value typed from the maker's sheet. mm, N·m, µm of roughness, degrees, MPa, mm². */
export const fromSheet = (max: number, label: string, more: Pick<Partial<Asked>, 'when' | 'needed'> = {}) =>
  number()
    .min(0.0001)
    .max(max)
    .meta(ask(MAKER, label, more));

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

/** Do the maker's pairs, least and most, stand in order? */
export const inOrder = (setup: { maker?: object | undefined } | undefined): boolean => {
  const maker = (setup?.maker ?? {}) as Record<string, number | undefined>;
  return Object.entries(maker).every(([least, low]) => {
    const high = maker[least.replace('Lower', 'Upper').replace('Min', 'Max')];
    // One value said twice is a target, where a sheet gives a drive-up.
    const alike = least.startsWith('driveUp') && low === high;
    return !/Lower|Min/.test(least) || low === undefined || high === undefined || low < high || alike;
  });
};
export const MAKER_ORDER = "In the maker's values a lower limit stands above its upper.";
