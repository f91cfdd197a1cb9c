import {
  answerTo,
  type Beam as BeamData,
  type BenchValues,
  type DriveUpStepValues,
  type DriveUpTargetValues,
  type JobState,
  type LockValues,
  type StepReport,
  sayNutAngle,
  sleeveOf,
  standing,
} from '@fulcrant/core';
import { BearingFigure } from '../../figures/BearingFigure.tsx';
import { NutFigure } from '../../figures/NutFigure.tsx';
import { Beam } from '../../ui/Beam.tsx';
import { Length } from '../../ui/Num.tsx';

/** The gap shown as open where none is read yet: the middle of a normal bench clearance. */
const NOMINAL_GAP = 0.0009;

const shaftRead = (state: JobState): number | null =>
  (state.steps.find((s) => s.id === 'shaft')?.report?.values as { largestMm?: number | null } | undefined)
    ?.largestMm ?? null;

const rowOf = (place: string | undefined): 'A' | 'B' | null =>
  place?.includes('/A') ? 'A' : place?.includes('/B') ? 'B' : null;

/** What was last felt at a step's places that begin so. */
const lastFelt = (state: JobState, step: string, places: string): number | null =>
  standing(state, step)
    .filter((r) => r.place.startsWith(places))
    .at(-1)?.value ?? null;

type FigureProps = { state: JobState; report: StepReport; place: string | undefined; typed: number | null };

/** Bench clearance: the section with the blade at the row in hand. */
export function BenchFigure({ state, report, place, typed }: FigureProps) {
  const v = report.values as BenchValues;
  const row = rowOf(place);
  const set = Number(/set(\d+)/.exec(place ?? '')?.[1] ?? v.pairs.length);
  const pair = v.pairs.find((p) => p.set === set) ?? v.pairs.at(-1);
  return (
    <BearingFigure
      setup={sleeveOf(state)}
      clearanceMm={typed !== null && typed < 1 ? typed : (v.benchMm ?? sleeveOf(state).boreMm * NOMINAL_GAP)}
      rowAMm={row === 'A' && typed !== null ? typed : pair?.set === set ? (pair?.rowAMm ?? null) : null}
      rowBMm={row === 'B' && typed !== null ? typed : pair?.set === set ? (pair?.rowBMm ?? null) : null}
      activeRow={row}
      shaftMm={shaftRead(state)}
      note={
        sleeveOf(state).feltAt === 'top'
          ? 'gap felt at the top, ring standing'
          : 'gap felt at the bottom, ring hanging'
      }
    />
  );
}

/** The sets felt so far, as a small table under the beam. */
export function BenchSets({ report }: { report: StepReport }) {
  const v = report.values as BenchValues;
  if (v.pairs.length === 0) return null;
  return (
    <table className="w-full border-collapse text-left">
      <thead>
        <tr className="kicker">
          <th className="font-medium">set</th>
          <th className="font-medium">row A</th>
          <th className="font-medium">row B</th>
          <th className="font-medium">mean</th>
        </tr>
      </thead>
      <tbody>
        {v.pairs.map((p) => (
          <tr key={p.set} className="border-t border-faint">
            <td className="figures">{p.set}</td>
            <td>{p.rowAMm === null ? '–' : <Length mm={p.rowAMm} unit={false} />}</td>
            <td>{p.rowBMm === null ? '–' : <Length mm={p.rowBMm} unit={false} />}</td>
            <td>
              {p.rowAMm === null || p.rowBMm === null ? (
                '–'
              ) : (
                <Length mm={(p.rowAMm + p.rowBMm) / 2} decimals={4} unit={false} />
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Target: where the bearing starts and how far it goes, drawn. */
export function TargetFigure({ state, report }: { state: JobState; report: StepReport }) {
  const t = report.values as DriveUpTargetValues | null;
  const bench = state.steps.find((s) => s.id === 'bench')?.report?.values as BenchValues | undefined;
  return (
    <BearingFigure
      setup={sleeveOf(state)}
      clearanceMm={bench?.benchMm ?? 0.1}
      rowAMm={t?.residualAimMm ?? null}
      rowBMm={t?.residualAimMm ?? null}
      travelMm={t?.travelAimMm ?? 0}
      travelDimension
      shaftMm={shaftRead(state)}
      note="rows: residual aimed at"
    />
  );
}

/** The target's numbers in the order they are used at the plinth. */
export function TargetNumbers({ report }: { report: StepReport }) {
  const t = report.values as DriveUpTargetValues | null;
  if (
    !t ||
    t.aimMm === null ||
    t.reductionMinMm === null ||
    t.reductionMaxMm === null ||
    t.residualMinMm === null ||
    t.residualMaxMm === null
  )
    return null;
  const rows: Array<[string, React.ReactNode]> = [
    [
      'Take out',
      <>
        <Length key="a" mm={t.aimMm} />, between <Length key="b" mm={t.reductionMinMm} unit={false} /> and{' '}
        <Length key="c" mm={t.reductionMaxMm} />
      </>,
    ],
    [
      'Leave',
      <>
        <Length key="a" mm={t.residualAimMm ?? 0} />, between{' '}
        <Length key="b" mm={t.residualMinMm} unit={false} /> and <Length key="c" mm={t.residualMaxMm} />
      </>,
    ],
    [
      'Start back by',
      <>
        <Length key="a" mm={t.travelAimMm ?? 0} decimals={2} /> of axial travel
        {t.tabledTravelMm && (
          <span className="text-muted">
            {' '}
            (tabled <Length mm={t.tabledTravelMm[0]} decimals={2} unit={false} /> to{' '}
            <Length mm={t.tabledTravelMm[1]} decimals={2} />)
          </span>
        )}
      </>,
    ],
    [
      'Nut',
      <>
        about{' '}
        <span key="n" className="figures">
          {(t.nutEighthsAim ?? 0).toFixed(1)}
        </span>{' '}
        eighths from snug, <Length key="e" mm={t.reductionPerEighthMm} decimals={4} /> each
      </>,
    ],
  ];
  return (
    <dl className="m-0 grid grid-cols-[auto_1fr] items-baseline gap-x-5 gap-y-2 text-lg">
      {rows.map(([k, v]) => (
        <div key={k} className="contents">
          <dt className="kicker">{k}</dt>
          <dd className="m-0">{v}</dd>
        </div>
      ))}
    </dl>
  );
}

/** Drive-up: the section with both rows and the travel so far, or the nut when its gap to the tab is measured. */
export function DriveUpFigure({ state, report, place, typed }: FigureProps) {
  const v = report.values as DriveUpStepValues | null;
  if (!v) return null;
  if (place?.startsWith('lock/')) {
    return (
      <div className="flex justify-center">
        <NutFigure
          setup={sleeveOf(state)}
          forwardDeg={typed ?? v.phase?.forwardDeg ?? null}
          turnedDeg={null}
        />
      </div>
    );
  }
  const row = rowOf(place);
  const deg = Number(/^deg([\d.]+)/.exec(place ?? '')?.[1] ?? v.angleDeg);
  const read = (r: 'A' | 'B') => lastFelt(state, 'driveup', `deg${deg}/${r}/`);
  const travel = (sleeveOf(state).pitchMm * v.angleDeg) / 360;
  return (
    <BearingFigure
      setup={sleeveOf(state)}
      clearanceMm={typed !== null && typed < 1 ? typed : (v.clearanceMm ?? 0.1)}
      rowAMm={row === 'A' && typed !== null ? typed : read('A')}
      rowBMm={row === 'B' && typed !== null ? typed : read('B')}
      activeRow={row}
      travelMm={travel}
      travelDimension
      shaftMm={shaftRead(state)}
      note={`nut at ${sayNutAngle(deg)}`}
    />
  );
}

/** "So far" and "still to turn", readable from two metres. */
export function DriveUpSide({ shown }: { shown: StepReport }) {
  const v = shown.values as DriveUpStepValues | null;
  if (!v) return null;
  const aim = v.target.aimMm;
  return (
    <div className="flex flex-col gap-3">
      <div>
        <h2 className="kicker m-0">So far</h2>
        <p className="m-0 text-5xl font-semibold leading-tight" data-so-far={v.reductionMm ?? ''}>
          {v.reductionMm === null ? '–' : <Length mm={v.reductionMm} unit={false} />}
        </p>
        {aim !== null && (
          <p className="m-0">
            of <Length mm={aim} /> taken out
            {v.fractionOfAim !== null && <>, {Math.round(100 * v.fractionOfAim)} %</>}
          </p>
        )}
      </div>
      {v.eighthsToAim !== null && v.place !== 'over-driven' && (
        <div>
          <h2 className="kicker m-0">Still to turn</h2>
          <p className="m-0 text-3xl font-semibold leading-tight">
            <span className="figures">{v.eighthsToAim.toFixed(1)}</span> eighths{' '}
            <span className="text-xl font-medium text-muted">
              ± {(v.eighthsToAimExpanded ?? 0).toFixed(1)}
            </span>
          </p>
          <LockAhead values={v} />
        </div>
      )}
      {v.advice && v.place !== 'over-driven' && <Chances advice={v.advice} />}
    </div>
  );
}

/** In a hundred, as people say chances; nothing and certainty are never claimed. */
const ofHundred = (share: number): string =>
  share < 0.01 ? 'under 1' : share > 0.99 ? 'over 99' : String(Math.round(100 * share));

/** Model and feelers weighed together: how far may be turned before the next feeling, and what then. */
function Chances({ advice }: { advice: NonNullable<DriveUpStepValues['advice']> }) {
  const { turnDeg, now, then } = advice;
  return (
    <p className="m-0 text-[0.95rem] leading-snug" data-advice={turnDeg}>
      {turnDeg === 0 ? (
        <>
          By model and feelers <strong>stop here</strong>: in the band {ofHundred(now.inBand)} in 100, past it{' '}
          {ofHundred(now.over)}.
        </>
      ) : (
        <>
          By model and feelers up to{' '}
          <strong>
            <span className="figures">{turnDeg}°</span>
          </strong>{' '}
          may be turned before the next feeling; past the band then {ofHundred(then.over)} in 100.
        </>
      )}
    </p>
  );
}

/** Where the lock meets and what it costs, told before the last eighth. */
function LockAhead({ values }: { values: DriveUpStepValues }) {
  const { lock } = values;
  const stop = lock.best ?? lock.least;
  if (!stop) {
    return (
      <p className="m-0 text-[0.95rem] leading-snug text-muted">
        Next tab not measured: it costs up to <Length mm={lock.worstCostMm} decimals={4} />,{' '}
        {lock.worstDeg.toFixed(1)}° forward.
      </p>
    );
  }
  return (
    <p className="m-0 text-[0.95rem] leading-snug" data-lock-ahead={stop.forwardDeg}>
      {lock.best ? 'Stop where a tab meets: ' : 'Next tab meets '}
      <span className="figures">{stop.forwardDeg.toFixed(1)}°</span> on, costs{' '}
      <Length mm={stop.costMm} decimals={4} />
      {stop.inBand !== null && (stop.inBand ? ', in band.' : ', not in band.')}
    </p>
  );
}

/** Lock: the nut's face, turned on as far as is entered. */
export function LockFigure({ state, report, place, typed }: FigureProps) {
  const v = report.values as LockValues | null;
  const driven = state.steps.find((s) => s.id === 'driveup')?.report?.values as DriveUpStepValues | undefined;
  const forward = driven?.lock.least?.forwardDeg ?? null;
  const turned = place === 'turn' ? typed : (v?.turnedDeg ?? null);
  if (place === 'turn' || v?.turnedDeg === null) {
    return (
      <div className="flex justify-center">
        <NutFigure setup={sleeveOf(state)} forwardDeg={forward} turnedDeg={turned} />
      </div>
    );
  }
  const row = rowOf(place);
  const read = (r: 'A' | 'B') => lastFelt(state, 'lock', `final/${r}/`);
  return (
    <BearingFigure
      setup={sleeveOf(state)}
      clearanceMm={
        typed !== null && typed < 1 ? typed : (v?.final?.clearanceMm ?? driven?.clearanceMm ?? 0.05)
      }
      rowAMm={row === 'A' && typed !== null ? typed : read('A')}
      rowBMm={row === 'B' && typed !== null ? typed : read('B')}
      activeRow={row}
      travelMm={(sleeveOf(state).pitchMm * (v?.finalDeg ?? 0)) / 360}
      travelDimension
      shaftMm={shaftRead(state)}
      note="locked"
    />
  );
}

/** Both rows felt once more with the nut locked, beside another school of drive-up. */
export function FinalFigure({
  state,
  place,
  typed,
  travelMm,
}: Omit<FigureProps, 'report'> & { travelMm: number }) {
  const row = rowOf(place);
  const read = (r: 'A' | 'B') => lastFelt(state, 'lock', `final/${r}/`);
  return (
    <BearingFigure
      setup={sleeveOf(state)}
      clearanceMm={typed !== null && typed < 1 ? typed : (read('A') ?? sleeveOf(state).boreMm * NOMINAL_GAP)}
      rowAMm={row === 'A' && typed !== null ? typed : read('A')}
      rowBMm={row === 'B' && typed !== null ? typed : read('B')}
      activeRow={row}
      travelMm={travelMm}
      travelDimension
      shaftMm={shaftRead(state)}
      note="locked"
    />
  );
}

/** A yes-or-no item of a measuring step, answered beside its readings. */
export function StepItem({
  state,
  step,
  item,
  ask,
  onAnswer,
}: {
  state: JobState;
  step: string;
  item: string;
  ask: string;
  onAnswer: (answer: 'yes' | 'no') => void;
}) {
  const answer = answerTo(state, step, item);
  return (
    <fieldset
      className="m-0 flex items-center gap-3 border-0 border-t border-faint p-0 pt-2"
      data-item={item}
    >
      <legend className="sr-only">{ask}</legend>
      <span className="flex-1 leading-snug">
        {ask}
        {answer && (
          <span className="block text-sm text-muted">
            {answer.answer}, {answer.author.name}
          </span>
        )}
      </span>
      {(['yes', 'no'] as const).map((a) => (
        <button
          key={a}
          type="button"
          aria-pressed={answer?.answer === a}
          onClick={() => onAnswer(a)}
          className="min-h-12 w-16 border border-ink font-label text-lg font-semibold capitalize aria-pressed:bg-ink aria-pressed:text-paper"
          aria-label={`${a === 'yes' ? 'Yes' : 'No'}: ${ask}`}
        >
          {a}
        </button>
      ))}
    </fieldset>
  );
}

/** The step's large beam, following what is typed. */
export function StepBeam({ beams, hollow }: { beams: BeamData[]; hollow: boolean }) {
  const beam = beams[0];
  return beam ? <Beam beam={beam} hollow={hollow} /> : null;
}
