import type { DriveUpTargetValues } from '@fulcrant/core/calculators';
import type { BenchValues, DriveUpStepValues } from '@fulcrant/core/trades';
import { Length } from '../../ui/Num.tsx';
/** The sets felt so far, as a small table under the beam. */
export function BenchSets({ values: v }: { values: BenchValues }) {
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

/** The target's numbers in the order they are used at the plinth. */
export function TargetNumbers({ values: t }: { values: DriveUpTargetValues }) {
  if (
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

/** "So far" and "still to turn", readable from two metres. */
export function DriveUpSide({ values: v }: { values: DriveUpStepValues }) {
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
