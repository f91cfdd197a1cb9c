import { type DiameterSurveyValues, diameterSurvey } from '../../arithmetic/shaft/diameter-survey.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import { decisionOf } from '../../engine/setup.ts';
import type { Facts, Place, PlaceChoice, Reading } from '../../engine/state.ts';
import { type StepDefinition, stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { inline } from '../../message/message.ts';
import { gaugeFindings } from '../gauges.ts';
import { inHand, placesInHand } from '../in-hand.ts';
import { M } from './messages.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';

export type ShaftValues = DiameterSurveyValues & {
  stationsMm: number[];
  anglesDeg: number[];
  matrix: Array<Array<number | null>>;
};

/** Stations evenly along the seat, a twentieth in from each end; angles evenly round half a turn. */
export function surveyGrid(setup: ShaftSetup): { stationsMm: number[]; anglesDeg: number[] } {
  const edge = setup.seatMm / 20;
  const span = setup.seatMm - 2 * edge;
  return {
    stationsMm: Array.from({ length: setup.stations }, (_, i) =>
      Number((edge + (span * i) / (setup.stations - 1)).toFixed(1)),
    ),
    anglesDeg: Array.from({ length: setup.angles }, (_, i) => Number(((180 * i) / setup.angles).toFixed(1))),
  };
}

/** A place of the grid, and the same read again. */
const gridKey = placeKey('s{station}/{angle}');
const againKey = placeKey('s{station}/{angle}/{n}');
const keyOf = (station: number, angle: number) => gridKey.write({ station: station + 1, angle });
const GROOVE = [
  ['groove/beside', M.diameterBesideGroove],
  ['groove/inside', COMMON.diameterGroove],
] as const;
/** Readings anyone takes at one place. */
const REPEATS_MOST = 20;

/** All readings at one place of the grid, the first and its repeats. */
function repeatsAt(facts: Facts<ShaftSetup>, step: StepDefinition<ShaftSetup>, key: string): Reading[] {
  return standing(facts, step.id, 'any').filter((r) => r.place === key || r.place.startsWith(`${key}/`));
}

/** Diameters at stations × angles over the seat, each place read again where it is too close. A dismounting does not undo them. */
export const diameters = stepKind<ShaftSetup, ShaftValues>('diameters', {
  repeats: true,
  report(facts, step) {
    const setup = facts.setup;
    const c = conditionOf(setup);
    const grid = surveyGrid(setup);
    const read = standing(facts, step.id, 'any');
    const cells = grid.stationsMm.map((_, s) =>
      grid.anglesDeg.map((a) => repeatsAt(facts, step, keyOf(s, a))),
    );
    const gauge = inHand(cells.flat(2), 0.01, { alike: true });
    const grooveAt = (where: string) => readingAt(facts, step.id, `groove/${where}`, 'any');
    const [beside, inside] = [grooveAt('beside'), grooveAt('inside')];
    const grooved = [beside, inside].filter((r) => r !== undefined);
    const at = placesInHand(cells.flat(), { alike: true });
    const wide = grid.anglesDeg.length;
    const placed = cells.map((_, i) => at.slice(i * wide, (i + 1) * wide));
    const matrix = placed.map((row) => row.map((p) => p?.value ?? null));
    const result = diameterSurvey({
      nominalMm: setup.shaftMm,
      system: setup.shaftSystem,
      seat: c.seat,
      splitRaceGrade: c.splitRaceGrade,
      throttleBoreMm: c.throttleBoreMm,
      ...grid,
      diametersMm: matrix,
      uncertaintiesMm: placed.map((row) => row.map((p) => p?.doubt ?? null)),
      countsRead: placed.map((row) => row.map((p) => p?.count ?? 0)),
      ...gauge,
      makerLowerMm: setup.maker.shaftLowerMm,
      makerUpperMm: setup.maker.shaftUpperMm,
      rule: decisionOf(setup),
      grooveBesideMm: beside?.value,
      grooveInsideMm: inside?.value,
      grooveUnder: c.grooveUnder,
      ...(grooved.some((r) => r.instrument.step > gauge.resolutionMm)
        ? { grooveGauge: inHand(grooved, 0.01) }
        : {}),
    });
    const nextKey = grid.stationsMm
      .flatMap((_, s) => grid.anglesDeg.map((a) => keyOf(s, a)))
      .find((k) => !readingAt(facts, step.id, k, 'any'));
    const close = result.findings.some((f) => f.verdict === 'too-close');
    const following = nextKey ?? (close ? begunAgain(cells, grid) : undefined);
    const next = following ? placeOf(facts, following) : null;
    return {
      findings: [
        ...result.findings.map((f) => (c.seat === 'packing-sleeve' ? eased(f) : f)),
        ...gaugeFindings(read),
      ],
      working: result.working,
      beams: result.beams,
      values: { ...result.values, ...grid, matrix } satisfies ShaftValues,
      next,
      choices: next ? [] : [...again(facts, step, grid, matrix), ...grooveChoices(facts, step)],
      act: next ? M.measureShaft({ label: inline(next.label) }) : M.everyPlaceMeasuredReadVerdict,
    };
  },
  place(facts, step, key) {
    const place = placeOf(facts, key);
    if (!place) return M.thereNoSuchPlaceShaft;
    if (readingAt(facts, step.id, key, 'any'))
      return M.alreadyHasReadingWithdrawReason({ label: place.label });
    const again = againKey.read(key);
    if (again && !readingAt(facts, step.id, gridKey.write(again), 'any')) return M.placeNotMeasuredYet;
    return place;
  },
});

/** Packing follows a sleeve by more than a micrometer doubts: too close to call does not stop it. Common practice, no source. */
const eased = (f: Finding): Finding =>
  f.verdict === 'too-close'
    ? {
        ...f,
        verdict: 'caution',
        remedy: M.packingFollowsMeasuredAgainWhere,
      }
    : f;

/** Once a place is read again, so many times more are asked there one after the other, as long as it is too close to call. */
const MORE = 3;
function begunAgain(cells: Reading[][][], grid: ReturnType<typeof surveyGrid>): string | undefined {
  return cells
    .flatMap((row, s) =>
      row.map((at, i) => ({
        key: keyOf(s, grid.anglesDeg[i] ?? 0),
        more: (at.length - 1) % MORE,
        n: at.length,
      })),
    )
    .filter((c) => c.more > 0)
    .map((c) => `${c.key}/${c.n + 1}`)[0];
}

/** The largest and the smallest place once more: where a verdict too close to call is settled. */
function again(
  facts: Facts<ShaftSetup>,
  step: StepDefinition<ShaftSetup>,
  grid: ReturnType<typeof surveyGrid>,
  matrix: ShaftValues['matrix'],
): PlaceChoice[] {
  const spots = grid.stationsMm.flatMap((_, s) =>
    grid.anglesDeg.flatMap((a, i) => {
      const mm = matrix[s]?.[i] ?? null;
      return mm === null ? [] : [{ key: keyOf(s, a), mm }];
    }),
  );
  const first = spots[0];
  if (!first) return [];
  const largest = spots.reduce((a, b) => (b.mm > a.mm ? b : a), first);
  const smallest = spots.reduce((a, b) => (b.mm < a.mm ? b : a), first);
  return (
    [
      [M.largestThreeMore, largest],
      [M.smallestThreeMore, smallest],
    ] as const
  ).flatMap(([label, spot], i) => {
    // Where all are alike, one place is both.
    if (i > 0 && spot === largest) return [];
    const times = repeatsAt(facts, step, spot.key).length + 1;
    return times <= REPEATS_MOST ? [{ key: `${spot.key}/${times}`, label }] : [];
  });
}

const grooveChoices = (facts: Facts<ShaftSetup>, step: StepDefinition<ShaftSetup>): PlaceChoice[] =>
  GROOVE.filter(([key]) => !readingAt(facts, step.id, key, 'any')).map(([key, label]) => ({ key, label }));

function placeOf(facts: Facts<ShaftSetup>, key: string): Place | null {
  const setup = facts.setup;
  const grid = surveyGrid(setup);
  const worn = GROOVE.find(([k]) => k === key);
  const again = againKey.read(key);
  const at = again ?? gridKey.read(key);
  const station = (at?.station ?? 0) - 1;
  const angle = at?.angle ?? 0;
  const times = again?.n ?? 1;
  const known = at && station in grid.stationsMm && grid.anglesDeg.includes(angle) && times <= REPEATS_MOST;
  if (!worn && (!known || (again && times < 2))) return null;
  return {
    key,
    label: worn
      ? worn[1]
      : M.station({
          station: station + 1,
          stations: setup.stations,
          angle,
          times: times > 1 ? M.reading({ times }) : '',
        }),
    quantity: 'diameter',
    nominalMm: setup.shaftMm,
    low: setup.shaftMm * (worn ? 0.85 : 0.97),
    high: setup.shaftMm * 1.03,
    instrumentKinds: ['micrometer'],
    ...(worn ? {} : { turn: { station, atMm: grid.stationsMm[station] ?? 0, angleDeg: angle } }),
  };
}
