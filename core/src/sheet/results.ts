import type { JobState } from '../engine/state.ts';
import type { BoltValues } from '../procedures/kinds/bolts.ts';
import type { BoxBoreStepValues } from '../procedures/kinds/box-bore.ts';
import type { BoxFaceStepValues } from '../procedures/kinds/box-face.ts';
import type { GlandGapsValues } from '../procedures/kinds/gland-gaps.ts';
import type { LetGoValues } from '../procedures/kinds/let-go.ts';
import type { BreakInStepValues, RingsStepValues } from '../procedures/kinds/packing-steps.ts';
import type { PlayStepValues } from '../procedures/kinds/play.ts';
import type { RaceGapsStepValues } from '../procedures/kinds/race-gaps.ts';
import type { RunoutStepValues } from '../procedures/kinds/runout.ts';
import type { ProofValues } from '../procedures/kinds/seal-proof.ts';
import type { SettingStepValues } from '../procedures/kinds/seal-setting.ts';
import type { BaselineValues } from '../procedures/kinds/seal-small.ts';
import type { VerdictValues } from '../procedures/kinds/verdict.ts';
import type { WearWatchValues } from '../procedures/kinds/wear-watch.ts';

/** The numbers asked for a year later: lengths in mm, torques in N·m; null where a job has none such. */
export type SheetResults = {
  largestMm: number | null;
  smallestMm: number | null;
  benchMm: number | null;
  reductionMm: number | null;
  residualMm: number | null;
  nutDeg: number | null;
  torqueNm: number | null;
  runoutMm: number | null;
  endPlayMm: number | null;
  radialPlayMm: number | null;
  faceMm: number | null;
  boreMm: number | null;
  /** Travel of a hydraulic drive-up; the gaps of a split race; rounds of its seating loop. */
  travelMm: number | null;
  gapsMm: [number, number] | null;
  seatingRounds: number | null;
  hottestC: number | null;
  letGoMpa: number | null;
  greaseG: number | null;
  intervalH: number | null;
  /** Of a seal: compression as it runs, wear's baseline, rounds of centring recovery, spread of the gland's gaps. */
  compressionMm: number | null;
  baselineMm: number | null;
  recoveryRounds: number | null;
  glandSpreadMm: number | null;
  /** Of packing: rings in, their cut length, flats turned in all. Leakage last counted, of packing or seal. */
  rings: number | null;
  ringCutMm: number | null;
  flats: number | null;
  dropsPerMin: number | null;
  /** Of a plunger's nut: how far off its mark it ended. */
  preloadDeg: number | null;
  /** Of a seal in service: what stands proud now, and the day the service is due by the robust line. */
  wearMm: number | null;
  wearDueOn: string | null;
  verdict: VerdictValues['fit'] | null;
};

const num = (v: unknown): number | null => (typeof v === 'number' ? v : null);

/** What a step came to, where it was reached. */
export function valuesOf(state: JobState, step: string): Record<string, unknown> | null {
  return (state.steps.find((s) => s.id === step)?.report?.values ?? null) as Record<string, unknown> | null;
}

/** What a job came to, gathered from its steps. */
export function sheetResults(state: JobState): SheetResults {
  const bench = valuesOf(state, 'bench');
  const lock = valuesOf(state, 'lock');
  // By feelers the lock holds the last forecast; the other schools keep what was felt at the lock itself.
  const driven = (
    lock && 'school' in lock
      ? { reductionMm: lock.reductionMm, clearanceMm: lock.residualMm }
      : (lock?.final ?? valuesOf(state, 'driveup'))
  ) as Record<string, number | null> | null;
  const shaft = valuesOf(state, 'shaft');
  const bolts = valuesOf(state, 'bolts');
  return {
    largestMm: num(shaft?.largestMm),
    smallestMm: num(shaft?.smallestMm),
    benchMm: num(bench?.benchMm),
    reductionMm: num(driven?.reductionMm),
    residualMm: num(driven?.clearanceMm),
    nutDeg: num(lock?.finalDeg),
    torqueNm: num(
      ((bolts ?? valuesOf(state, 'glandbolts'))?.torque as { torqueNm?: number } | undefined)?.torqueNm,
    ),
    ...conditionResults(state),
    ...fittingResults(state),
    ...sealResults(state),
  };
}

/** What the fitting, the first hours, a dismounting or a greasing came to. */
function fittingResults(
  state: JobState,
): Pick<
  SheetResults,
  'travelMm' | 'gapsMm' | 'seatingRounds' | 'hottestC' | 'letGoMpa' | 'greaseG' | 'intervalH'
> {
  const gaps = (valuesOf(state, 'seated') ?? valuesOf(state, 'race')) as RaceGapsStepValues | null;
  const driven = valuesOf(state, 'driveup');
  const letGo = valuesOf(state, 'letgo') as LetGoValues | null;
  const seat = valuesOf(state, 'seat') as BoltValues | null;
  const heat = valuesOf(state, 'runin') ?? valuesOf(state, 'watch');
  return {
    travelMm: driven?.school === 'hydraulic' ? num(driven.travelMm) : null,
    gapsMm:
      gaps?.raceMm && gaps.raceMm.a !== null && gaps.raceMm.b !== null
        ? [gaps.raceMm.a, gaps.raceMm.b]
        : null,
    seatingRounds: seat ? seat.settling.length : null,
    hottestC: num(heat?.hottestC),
    letGoMpa: letGo?.free ? (letGo.rounds.at(-1)?.peakMpa ?? null) : null,
    greaseG: num(valuesOf(state, 'strokes')?.gramsGiven),
    intervalH: num(valuesOf(state, 'watch')?.intervalHours),
  };
}

/** What a seal, packing or a plunger's set came to. */
function sealResults(
  state: JobState,
): Pick<
  SheetResults,
  | 'compressionMm'
  | 'baselineMm'
  | 'recoveryRounds'
  | 'glandSpreadMm'
  | 'rings'
  | 'ringCutMm'
  | 'flats'
  | 'dropsPerMin'
  | 'preloadDeg'
  | 'wearMm'
  | 'wearDueOn'
> {
  const values = <T>(step: string) => valuesOf(state, step) as T | null;
  const setting = values<SettingStepValues>('impeller') ?? values<SettingStepValues>('collar');
  const gland = values<GlandGapsValues>('gland-gaps') ?? values<GlandGapsValues>('follower');
  const rings = values<RingsStepValues>('rings');
  const breakIn = values<BreakInStepValues>('breakin');
  const wear = values<WearWatchValues>('wear');
  const proof = (values<ProofValues>('proof')?.points ?? []).filter((p) => p.dropsPerMin !== null);
  return {
    compressionMm: setting?.shift?.compressionMm ?? null,
    baselineMm: values<BaselineValues>('baseline')?.baselineMm ?? null,
    recoveryRounds: num(valuesOf(state, 'handturn')?.rounds),
    glandSpreadMm: gland?.tilt?.spreadMm ?? null,
    rings: rings?.jointsDeg.length ?? null,
    ringCutMm: rings?.plan.cutMm ?? null,
    flats: breakIn?.points.length ? breakIn.flats : null,
    dropsPerMin: breakIn?.points.at(-1)?.dropsPerMin ?? proof.at(-1)?.dropsPerMin ?? null,
    preloadDeg: num(valuesOf(state, 'preload')?.endDeg),
    wearMm: wear && wear.points.length > 1 ? (wear.points.at(-1)?.projectionMm ?? null) : null,
    wearDueOn: wear?.dueOn ?? null,
  };
}

/** The worst numbers of the condition measures. */
function conditionResults(
  state: JobState,
): Pick<SheetResults, 'runoutMm' | 'endPlayMm' | 'radialPlayMm' | 'faceMm' | 'boreMm' | 'verdict'> {
  const values = <T>(step: string) => valuesOf(state, step) as T | null;
  const tirs = (values<RunoutStepValues>('runout')?.stations ?? []).flatMap((s) => s.values.tirMm ?? []);
  const play = values<PlayStepValues>('play');
  return {
    runoutMm: tirs.length ? Math.max(...tirs) : null,
    endPlayMm: play?.endPlayMm ?? null,
    radialPlayMm: play?.radialPlayMm ?? null,
    faceMm: values<BoxFaceStepValues>('face')?.tirMm ?? null,
    boreMm: values<BoxBoreStepValues>('bore')?.tirMm ?? null,
    verdict: values<VerdictValues>('verdict')?.fit ?? null,
  };
}
