import {
  BOX_BORE_TIR_MM,
  couplingTolerance,
  END_PLAY_SCHOOLS,
  endPlaySchools,
  FACE_SCHOOLS,
  faceSchools,
  type HouseRules,
  type JobState,
  needed,
  RADIAL_PLAY_MM,
  RUNOUT_SCHOOLS,
  runoutSchools,
  type SchoolLimit,
  type Setup,
  SOFT_FOOT_MM,
  schoolsOf,
} from '@fulcrant/core';

type MakerField = keyof Setup['maker'];

export type LimitQuestion = {
  /** What the limit is of. */
  title: string;
  /** Where the maker's value is kept, and how it is typed. */
  maker: MakerField;
  kind: 'length' | 'roughness' | 'degrees';
  /** The house rule that answers it, with the schools there are. */
  rule?: Exclude<keyof HouseRules, 'decision'>;
  schools: SchoolLimit[];
};

const practice = (limitMm: number, title = 'common practice'): SchoolLimit => ({
  school: 'practice',
  title,
  limitMm,
  source: 'practice',
});

/** The limits a step is judged by that the maker's sheet or another school may answer. */
export function limitsOf(state: JobState, step: string): LimitQuestion[] {
  if (!('shaftMm' in state.setup)) return [];
  const { shaftMm, condition } = state.setup;
  switch (step) {
    case 'runout':
      return [
        {
          title: 'Run-out, TIR',
          maker: 'runoutMm',
          kind: 'length',
          rule: 'runout',
          schools: runoutSchools(shaftMm),
        },
      ];
    case 'finish':
      return [{ title: 'Finish of the shaft, Ra', maker: 'finishUm', kind: 'roughness', schools: [] }];
    case 'play':
      return [
        { title: 'End play', maker: 'endPlayMm', kind: 'length', rule: 'endPlay', schools: endPlaySchools() },
        {
          title: 'Radial play',
          maker: 'radialPlayMm',
          kind: 'length',
          schools: [practice(RADIAL_PLAY_MM)],
        },
      ];
    case 'face':
      return [
        {
          title: 'Box face, TIR',
          maker: 'faceMm',
          kind: 'length',
          rule: 'face',
          schools: faceSchools(shaftMm, needed(condition, 'boxBoreMm')),
        },
      ];
    case 'bore':
      return [
        { title: 'Box bore, TIR', maker: 'boreMm', kind: 'length', schools: [practice(BOX_BORE_TIR_MM)] },
      ];
    case 'softfoot':
      return [
        { title: 'Gap at a foot', maker: 'softFootMm', kind: 'length', schools: [practice(SOFT_FOOT_MM)] },
      ];
    case 'housings':
      return [{ title: 'Angle the bearing takes up', maker: 'abilityDeg', kind: 'degrees', schools: [] }];
    case 'coupling': {
      const rpm = needed(condition, 'speedRpm');
      return [
        {
          title: 'Offset',
          maker: 'offsetMm',
          kind: 'length',
          schools: [practice(couplingTolerance(rpm).offsetMm, `at ${rpm} rpm`)],
        },
        {
          title: 'Angle, per 100',
          maker: 'anglePer100Mm',
          kind: 'length',
          schools: [practice(couplingTolerance(rpm).anglePer100Mm, `at ${rpm} rpm`)],
        },
      ];
    }
    default:
      return [];
  }
}

/** The schools there are for a question of the house rules. */
export const SCHOOLS = { runout: RUNOUT_SCHOOLS, face: FACE_SCHOOLS, endPlay: END_PLAY_SCHOOLS } as const;

/** The setup with the maker's value typed in place; left out again where it is undefined. */
export const withMaker = (setup: Setup, field: MakerField, value: number | undefined): Setup => {
  const { [field]: _, ...rest } = setup.maker;
  return { ...setup, maker: value === undefined ? rest : { ...rest, [field]: value } } as Setup;
};

/** The setup following another school. */
export const withSchool = (
  setup: Setup,
  rule: Exclude<keyof HouseRules, 'decision'>,
  school: string,
): Setup => ({
  ...setup,
  schools: { ...schoolsOf(setup), [rule]: school } as HouseRules,
});
