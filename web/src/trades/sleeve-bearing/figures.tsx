import { type DriveUpTargetValues, lockMeets, lockPatterns } from '@fulcrant/core/calculators';
import { type JobState, reportAt, standing } from '@fulcrant/core/job';
import { diameters } from '@fulcrant/core/steps';
import {
  type BenchValues,
  benchClearance,
  type DriveUpAngleValues,
  type DriveUpHydraulicValues,
  type DriveUpStepValues,
  driveUp,
  driveUpAngle,
  driveUpHydraulic,
  feltKey,
  finalKey,
  type LockBySchoolValues,
  type LockValues,
  type NutZeroValues,
  pitchOf,
  type SleeveSetup,
  setKeys,
  tabKey,
  turnKey,
} from '@fulcrant/core/trades';
import { sayNutAngle } from '@fulcrant/core/units';
import { LockFigure as LockDrawing } from '../../figures/LockFigure.tsx';
import { NutMarkFigure } from '../../figures/NutMarkFigure.tsx';
import type { ViewInput, ViewProps } from '../../steps/view.tsx';
import { BearingFigure } from './BearingFigure.tsx';
import { PumpFigure } from './PumpFigure.tsx';

/** The gap shown as open where none is read yet: the middle of a normal bench clearance. */
const NOMINAL_GAP = 0.0009;

const shaftRead = (state: JobState): number | null =>
  diameters.valuesOf(reportAt(state, 'shaft'))?.largestMm ?? null;

const rowOf = (place: string | undefined): 'A' | 'B' | null =>
  (feltKey.read(place) ?? setKeys.read(place) ?? finalKey.read(place))?.row ?? null;

/** What was last felt at the places of a step that are meant. */
const lastFelt = (state: JobState, step: string, meant: (place: string) => boolean): number | null =>
  standing(state, step).findLast((r) => meant(r.place))?.value ?? null;

/** What is typed as a gap: anything larger is another quantity. */
const asGap = (typed: number | null): number | null => (typed !== null && typed < 1 ? typed : null);

type Of<V> = ViewProps<SleeveSetup, V>;

/** Bench clearance: the section with the blade at the row in hand. */
export function BenchFigure({ state, setup, stored: v, place, typed }: Of<BenchValues>) {
  const row = rowOf(place?.key);
  const set = setKeys.read(place?.key)?.set ?? v.pairs.length;
  const pair = v.pairs.find((p) => p.set === set) ?? v.pairs.at(-1);
  const read = (r: 'A' | 'B') => {
    if (row === r && typed !== null) return typed;
    return pair?.set === set ? (r === 'A' ? pair.rowAMm : pair.rowBMm) : null;
  };
  return (
    <BearingFigure
      setup={setup}
      clearanceMm={asGap(typed) ?? v.benchMm ?? setup.boreMm * NOMINAL_GAP}
      rowAMm={read('A')}
      rowBMm={read('B')}
      activeRow={row}
      shaftMm={shaftRead(state)}
      note={
        setup.feltAt === 'top' ? 'gap felt at the top, ring standing' : 'gap felt at the bottom, ring hanging'
      }
    />
  );
}

/** Target: where the bearing starts and how far it goes, drawn. */
export function TargetFigure({ state, setup, stored: t }: Of<DriveUpTargetValues>) {
  return (
    <BearingFigure
      setup={setup}
      clearanceMm={benchClearance.valuesOf(reportAt(state, 'bench'))?.benchMm ?? 0.1}
      rowAMm={t.residualAimMm}
      rowBMm={t.residualAimMm}
      travelMm={t.travelAimMm ?? 0}
      travelDimension
      shaftMm={shaftRead(state)}
      note="rows: residual aimed at"
    />
  );
}

/** Where the lock meets next, from the gap as it is measured. */
const meetsAt = (setup: SleeveSetup, gapDeg: number | null, way: 'forward' | 'back' = 'forward') =>
  gapDeg === null ? null : lockMeets(setup, gapDeg, way);

/** Drive-up: the section with both rows and the travel so far, or the nut when its gap to the tab is measured. */
export function DriveUpFigure({ state, setup, stored: v, place, typed }: Of<DriveUpStepValues>) {
  if (tabKey.read(place?.key)) {
    return (
      <div className="flex justify-center">
        <LockDrawing {...lockPatterns(setup)} meets={meetsAt(setup, typed ?? v.phase?.forwardDeg ?? null)} />
      </div>
    );
  }
  const row = rowOf(place?.key);
  const deg = feltKey.read(place?.key)?.deg ?? v.angleDeg;
  const read = (r: 'A' | 'B') =>
    row === r && typed !== null
      ? typed
      : lastFelt(state, 'driveup', (at) => {
          const felt = feltKey.read(at);
          return felt?.deg === deg && felt.row === r;
        });
  return (
    <BearingFigure
      setup={setup}
      clearanceMm={asGap(typed) ?? v.clearanceMm ?? 0.1}
      rowAMm={read('A')}
      rowBMm={read('B')}
      activeRow={row}
      travelMm={(pitchOf(setup).pitchMm * v.angleDeg) / 360}
      travelDimension
      shaftMm={shaftRead(state)}
      note={`nut at ${sayNutAngle(deg)}`}
    />
  );
}

/** Both rows felt with the nut locked. */
function LockedFigure({
  p: { state, setup, place, typed },
  clearanceMm,
  travelMm,
}: {
  p: ViewInput & { setup: SleeveSetup };
  clearanceMm: number;
  travelMm: number;
}) {
  const row = rowOf(place?.key);
  const read = (r: 'A' | 'B') =>
    row === r && typed !== null ? typed : lastFelt(state, 'lock', (at) => finalKey.read(at)?.row === r);
  return (
    <BearingFigure
      setup={setup}
      clearanceMm={asGap(typed) ?? clearanceMm}
      rowAMm={read('A')}
      rowBMm={read('B')}
      activeRow={row}
      travelMm={travelMm}
      travelDimension
      shaftMm={shaftRead(state)}
      note="locked"
    />
  );
}

/** Lock by feelers: the nut's face, turned on as far as is entered, then the rows. */
export function LockFigure(p: Of<LockValues>) {
  const { state, setup, stored: v, place, typed } = p;
  const driven = driveUp.valuesOf(reportAt(state, 'driveup'));
  const turned = place?.key === 'turn' ? typed : v.turnedDeg;
  if (place?.key === 'turn' || v.turnedDeg === null)
    return (
      <div className="flex justify-center">
        <LockDrawing {...lockPatterns(setup)} meets={driven?.lock.least ?? null} turnedDeg={turned} />
      </div>
    );
  return (
    <LockedFigure
      p={p}
      clearanceMm={v.final?.clearanceMm ?? driven?.clearanceMm ?? 0.05}
      travelMm={(pitchOf(setup).pitchMm * (v.finalDeg ?? 0)) / 360}
    />
  );
}

const bandOf = ({ maker }: SleeveSetup) => ({
  minDeg: maker.nutAngleMinDeg ?? 0,
  maxDeg: maker.nutAngleMaxDeg ?? 0,
});

/** Zero of the nut: its mark against the sleeve's slot. */
export const ZeroFigure = ({ setup, values: v }: Of<NutZeroValues>) => (
  <NutMarkFigure
    slots={setup.nutSlots}
    turnedDeg={0}
    band={bandOf(setup)}
    marked={v.proven}
    note={v.taps.length === 0 ? 'sleeve’s slot on top' : `taps moved it ${v.taps.join('°, ')}°`}
  />
);

/** The nut turned from its mark, and where the lock meets ahead. */
const Marked = ({
  setup,
  turnedDeg,
  driven,
}: {
  setup: SleeveSetup;
  turnedDeg: number;
  driven: DriveUpAngleValues;
}) => (
  <NutMarkFigure
    slots={setup.nutSlots}
    turnedDeg={turnedDeg}
    band={bandOf(setup)}
    marked
    stops={driven.stops}
    note={`a lock position every ${driven.spacingDeg.toFixed(1)}° at the most; ticks: where it locks`}
  />
);

/** Drive-up by nut angle. */
export const AngleFigure = ({ setup, values, place, typed }: Of<DriveUpAngleValues>) => (
  <Marked
    setup={setup}
    driven={values}
    turnedDeg={(turnKey.read(place?.key) ? typed : null) ?? values.turnedDeg}
  />
);

/** Drive-up by hydraulic nut: pressure and travel. */
export const PumpUpFigure = ({ setup, values, place, typed }: Of<DriveUpHydraulicValues>) => (
  <PumpFigure setup={setup} values={values} typedMpa={place?.quantity === 'pressure' ? typed : null} />
);

/** Lock of the schools that go by angle or by pump: what was driven, turned on to its lock, then the rows where they are felt. */
export function LockedBySchoolFigure(p: Of<LockBySchoolValues>) {
  const { state, setup, stored, values, place, typed } = p;
  if (finalKey.read(place?.key))
    return <LockedFigure p={p} clearanceMm={setup.boreMm * NOMINAL_GAP} travelMm={stored.travelMm} />;
  const report = reportAt(state, 'driveup');
  const pumped = driveUpHydraulic.valuesOf(report);
  const gap = place?.key === 'gap' || place?.key === 'backgap' ? place.key : null;
  const meeting = gap === 'backgap' || (gap === null && place?.key === 'back') ? 'back' : 'forward';
  const known = meeting === 'back' ? values.backMeets : values.meets;
  if (gap !== null || (known !== null && (place?.key === 'turn' || place?.key === 'back')))
    return (
      <div className="flex justify-center">
        <LockDrawing
          {...lockPatterns(setup)}
          way={meeting}
          meets={gap !== null && typed !== null ? meetsAt(setup, typed, meeting) : known}
          turnedDeg={gap === null ? typed : null}
        />
      </div>
    );
  if (pumped) return <PumpFigure setup={setup} values={pumped} typedMpa={null} />;
  const driven = driveUpAngle.valuesOf(report);
  if (!driven) return null;
  const on = place?.key === 'turn' && typed !== null ? driven.turnedDeg + typed : null;
  return <Marked setup={setup} driven={driven} turnedDeg={on ?? values.finalDeg ?? driven.turnedDeg} />;
}
