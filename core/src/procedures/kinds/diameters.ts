import { readingAt, standing } from '../../job/facts.ts';
import type { Facts, Place } from '../../job/state.ts';
import { type DiameterSurveyValues, diameterSurvey } from '../../shaft/diameter-survey.ts';
import type { StepKind } from '../types.ts';
import { gaugeFindings } from './gauges.ts';

export type ShaftValues = DiameterSurveyValues & {
  stationsMm: number[];
  anglesDeg: number[];
  matrix: Array<Array<number | null>>;
};

/** Stations evenly along the seat, a twentieth in from each end; angles evenly round half a turn. */
export function surveyGrid(setup: Facts['setup']): { stationsMm: number[]; anglesDeg: number[] } {
  const edge = setup.seatMm / 20;
  const span = setup.seatMm - 2 * edge;
  return {
    stationsMm: Array.from({ length: setup.stations }, (_, i) =>
      Number((edge + (span * i) / (setup.stations - 1)).toFixed(1)),
    ),
    anglesDeg: Array.from({ length: setup.angles }, (_, i) => Number(((180 * i) / setup.angles).toFixed(1))),
  };
}

const keyOf = (station: number, angle: number) => `s${station + 1}/${angle}`;

/** Diameters at stations × angles over the seat. A dismounting does not undo them. */
export const diameters: StepKind = {
  report(facts, step) {
    const { setup } = facts;
    const grid = surveyGrid(setup);
    const matrix = grid.stationsMm.map((_, s) =>
      grid.anglesDeg.map((a) => readingAt(facts, step.id, keyOf(s, a), 'any')?.value ?? null),
    );
    const read = standing(facts, step.id, 'any');
    const result = diameterSurvey({
      nominalMm: setup.shaftMm,
      system: setup.shaftSystem,
      ...grid,
      diametersMm: matrix,
      resolutionMm: Math.max(0.0001, ...read.map((r) => r.instrument.step)),
      makerLowerMm: setup.maker.shaftLowerMm,
      makerUpperMm: setup.maker.shaftUpperMm,
    });
    const nextKey = grid.stationsMm
      .flatMap((_, s) => grid.anglesDeg.map((a) => keyOf(s, a)))
      .find((k) => !readingAt(facts, step.id, k, 'any'));
    const next = nextKey ? placeOf(facts, nextKey) : null;
    return {
      findings: [...result.findings, ...gaugeFindings(read)],
      working: result.working,
      beams: result.beams,
      values: { ...result.values, ...grid, matrix } satisfies ShaftValues,
      next,
      act: next
        ? `Measure the shaft: ${next.label.toLowerCase()}`
        : 'Every place is measured: read the verdict.',
    };
  },
  place(facts, step, key) {
    const place = placeOf(facts, key);
    if (!place) return 'There is no such place on this shaft.';
    if (readingAt(facts, step.id, key, 'any'))
      return `${place.label} already has a reading. Withdraw it, with a reason, to measure again.`;
    return place;
  },
};

function placeOf({ setup }: Facts, key: string): Place | null {
  const grid = surveyGrid(setup);
  const m = /^s(\d+)\/([\d.]+)$/.exec(key);
  const station = Number(m?.[1]) - 1;
  const angle = Number(m?.[2]);
  if (!m || !(station in grid.stationsMm) || !grid.anglesDeg.includes(angle)) return null;
  return {
    key,
    label: `Station ${station + 1} of ${setup.stations}, at ${angle}°`,
    kind: 'diameter',
    low: setup.shaftMm * 0.97,
    high: setup.shaftMm * 1.03,
    instrumentKind: 'micrometer',
  };
}
