import { lockMeets, lockPatterns } from '../../arithmetic/bearings/lock-stops.ts';
import { standing } from '../../engine/facts.ts';
import { type FigureOf, figureOf, type KindFigure } from '../../engine/figure.ts';
import type { JobState } from '../../engine/state.ts';
import { reportAt } from '../../engine/trades.ts';
import type { Drawing } from '../../judgement/drawing.ts';
import { COMMON } from '../../message/common/messages.ts';
import { sayNutAngle } from '../../quantities/angle.ts';
import { diameters } from '../../steps/condition/diameters.ts';
import { lockFigure } from '../../steps/figures/lock.ts';
import { nutMarkFigure } from '../../steps/figures/nut-mark.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { benchClearance, setKeys } from './bench-clearance.ts';
import { driveUp, feltKey, finalKey, tabKey } from './drive-up.ts';
import { type DriveUpAngleValues, driveUpAngle, turnKey } from './drive-up-angle.ts';
import { driveUpHydraulic } from './drive-up-hydraulic.ts';
import { lock } from './lock.ts';
import { lockBySchool } from './lock-by-school.ts';
import { M } from './messages.ts';
import { nutZero } from './nut-zero.ts';
import { pumpFigure } from './pump-figure.ts';
import { bearingFigure } from './section.ts';
import { pitchOf, type SleeveSetup } from './setup.ts';
import { target } from './target.ts';

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

/** Where the lock meets next, from the gap as it is measured. */
const meetsAt = (setup: SleeveSetup, gapDeg: number | null, way: 'forward' | 'back' = 'forward') =>
  gapDeg === null ? null : lockMeets(setup, gapDeg, way);

type Locking = Pick<FigureOf<SleeveSetup, object>, 'state' | 'setup' | 'place' | 'typed'>;

/** Both rows felt with the nut locked. */
function lockedSection(
  { state, setup, place, typed }: Locking,
  clearanceMm: number,
  travelMm: number,
): Drawing {
  const row = rowOf(place?.key);
  const read = (r: 'A' | 'B') =>
    row === r && typed !== null ? typed : lastFelt(state, 'lock', (at) => finalKey.read(at)?.row === r);
  return bearingFigure({
    setup,
    clearanceMm: asGap(typed) ?? clearanceMm,
    rowAMm: read('A'),
    rowBMm: read('B'),
    activeRow: row,
    travelMm,
    travelDimension: true,
    shaftMm: shaftRead(state),
    note: COMMON.locked,
  });
}

const bandOf = ({ maker }: SleeveSetup) => ({
  minDeg: maker.nutAngleMinDeg ?? 0,
  maxDeg: maker.nutAngleMaxDeg ?? 0,
});

/** The nut turned from its mark, and where the lock meets ahead. */
const marked = (setup: SleeveSetup, turnedDeg: number, driven: DriveUpAngleValues): Drawing =>
  nutMarkFigure({
    slots: setup.nutSlots,
    turnedDeg,
    band: bandOf(setup),
    marked: true,
    stops: driven.stops,
    note: M.lockPositionEveryMostTicks({ spacing: driven.spacingDeg.toFixed(1) }),
  });

/** Figures of a bearing on its sleeve. */
export const figures: readonly KindFigure[] = [
  ...SHARED_FIGURES,
  // Bench clearance: the section with the blade at the row in hand.
  figureOf(benchClearance, ({ state, setup, stored: v, place, typed }) => {
    const row = rowOf(place?.key);
    const set = setKeys.read(place?.key)?.set ?? v.pairs.length;
    const pair = v.pairs.find((p) => p.set === set) ?? v.pairs.at(-1);
    const read = (r: 'A' | 'B') => {
      if (row === r && typed !== null) return typed;
      return pair?.set === set ? (r === 'A' ? pair.rowAMm : pair.rowBMm) : null;
    };
    return bearingFigure({
      setup,
      clearanceMm: asGap(typed) ?? v.benchMm ?? setup.boreMm * NOMINAL_GAP,
      rowAMm: read('A'),
      rowBMm: read('B'),
      activeRow: row,
      shaftMm: shaftRead(state),
      note: setup.feltAt === 'top' ? M.gapFeltTopRingStanding : M.gapFeltBottomRingHanging,
    });
  }),
  // Target: where the bearing starts and how far it goes.
  figureOf(target, ({ state, setup, stored: t }) =>
    bearingFigure({
      setup,
      clearanceMm: benchClearance.valuesOf(reportAt(state, 'bench'))?.benchMm ?? 0.1,
      rowAMm: t.residualAimMm,
      rowBMm: t.residualAimMm,
      travelMm: t.travelAimMm ?? 0,
      travelDimension: true,
      shaftMm: shaftRead(state),
      note: M.rowsResidualAimed,
    }),
  ),
  // Drive-up: both rows and the travel so far, or the nut when its gap to the tab is measured.
  figureOf(driveUp, ({ state, setup, stored: v, place, typed }) => {
    if (tabKey.read(place?.key))
      return lockFigure({
        ...lockPatterns(setup),
        meets: meetsAt(setup, typed ?? v.phase?.forwardDeg ?? null),
      });
    const row = rowOf(place?.key);
    const deg = feltKey.read(place?.key)?.deg ?? v.angleDeg;
    const read = (r: 'A' | 'B') =>
      row === r && typed !== null
        ? typed
        : lastFelt(state, 'driveup', (at) => {
            const felt = feltKey.read(at);
            return felt?.deg === deg && felt.row === r;
          });
    return bearingFigure({
      setup,
      clearanceMm: asGap(typed) ?? v.clearanceMm ?? 0.1,
      rowAMm: read('A'),
      rowBMm: read('B'),
      activeRow: row,
      travelMm: (pitchOf(setup).pitchMm * v.angleDeg) / 360,
      travelDimension: true,
      shaftMm: shaftRead(state),
      note: M.nut2({ deg: sayNutAngle(deg) }),
    });
  }),
  figureOf(driveUpAngle, ({ setup, values, place, typed }) =>
    marked(setup, (turnKey.read(place?.key) ? typed : null) ?? values.turnedDeg, values),
  ),
  figureOf(driveUpHydraulic, ({ setup, values, place, typed }) =>
    pumpFigure({ setup, values, typedMpa: place?.quantity === 'pressure' ? typed : null }),
  ),
  // Lock by feelers: the nut's face, turned on as far as is entered, then the rows.
  figureOf(lock, (p) => {
    const { state, setup, stored: v, place, typed } = p;
    const driven = driveUp.valuesOf(reportAt(state, 'driveup'));
    const turnedDeg = place?.key === 'turn' ? typed : v.turnedDeg;
    if (place?.key === 'turn' || v.turnedDeg === null)
      return lockFigure({ ...lockPatterns(setup), meets: driven?.lock.least ?? null, turnedDeg });
    return lockedSection(
      p,
      v.final?.clearanceMm ?? driven?.clearanceMm ?? 0.05,
      (pitchOf(setup).pitchMm * (v.finalDeg ?? 0)) / 360,
    );
  }),
  // By angle or by pump: what was driven, turned on to its lock, then the rows where they are felt.
  figureOf(lockBySchool, (p) => {
    const { state, setup, stored, values, place, typed } = p;
    if (finalKey.read(place?.key)) return lockedSection(p, setup.boreMm * NOMINAL_GAP, stored.travelMm);
    const report = reportAt(state, 'driveup');
    const pumped = driveUpHydraulic.valuesOf(report);
    const gap = place?.key === 'gap' || place?.key === 'backgap' ? place.key : null;
    const way = gap === 'backgap' || (gap === null && place?.key === 'back') ? 'back' : 'forward';
    const known = way === 'back' ? values.backMeets : values.meets;
    if (gap !== null || (known !== null && (place?.key === 'turn' || place?.key === 'back')))
      return lockFigure({
        ...lockPatterns(setup),
        way,
        meets: gap !== null && typed !== null ? meetsAt(setup, typed, way) : known,
        turnedDeg: gap === null ? typed : null,
      });
    if (pumped) return pumpFigure({ setup, values: pumped, typedMpa: null });
    const driven = driveUpAngle.valuesOf(report);
    if (!driven) return null;
    const on = place?.key === 'turn' && typed !== null ? driven.turnedDeg + typed : null;
    return marked(setup, on ?? values.finalDeg ?? driven.turnedDeg, driven);
  }),
  // Zero of the nut: its mark against the sleeve's slot.
  figureOf(nutZero, ({ setup, values: v }) =>
    nutMarkFigure({
      slots: setup.nutSlots,
      turnedDeg: 0,
      band: bandOf(setup),
      marked: v.proven,
      note: v.taps.length === 0 ? M.sleevesSlotTop : M.tapsMoved({ taps: v.taps.join('°, ') }),
    }),
  ),
];
