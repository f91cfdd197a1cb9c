import type { DriveUpTargetValues } from '@fulcrant/core/calculators';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import type { BenchValues, DriveUpStepValues } from '@fulcrant/core/trades';
import { Length } from '../../ui/Num.tsx';
import { useSay } from '../../ui/settings.tsx';
import { M } from './messages.ts';
/** The sets felt so far, as a small table under the beam. */
export function BenchSets({ values: v }: { values: BenchValues }) {
  const say = useSay();
  if (v.pairs.length === 0) return null;
  return (
    <table className="w-full border-collapse text-left">
      <thead>
        <tr className="kicker">
          <th className="font-medium">{say(M.set)}</th>
          <th className="font-medium">{say(M.row)}</th>
          <th className="font-medium">{say(M.rowB)}</th>
          <th className="font-medium">{say(M.mean)}</th>
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
  const say = useSay();
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
      say(M.takeOut),
      <>
        <Length key="a" mm={t.aimMm} />
        {say(M.between)} <Length key="b" mm={t.reductionMinMm} unit={false} /> {say(M.and)}{' '}
        <Length key="c" mm={t.reductionMaxMm} />
      </>,
    ],
    [
      say(M.leave),
      <>
        <Length key="a" mm={t.residualAimMm ?? 0} />
        {say(M.between)} <Length key="b" mm={t.residualMinMm} unit={false} /> {say(M.and)}{' '}
        <Length key="c" mm={t.residualMaxMm} />
      </>,
    ],
    [
      say(M.startBack),
      <>
        <Length key="a" mm={t.travelAimMm ?? 0} decimals={2} /> {say(M.axialTravel)}
        {t.tabledTravelMm && (
          <span className="text-muted">
            {' '}
            {say(M.tabled)} <Length mm={t.tabledTravelMm[0]} decimals={2} unit={false} /> {say(COMMON.to2)}{' '}
            <Length mm={t.tabledTravelMm[1]} decimals={2} />)
          </span>
        )}
      </>,
    ],
    [
      say(COMMON.nut),
      <>
        {say(M.about)}{' '}
        <span key="n" className="figures">
          {(t.nutEighthsAim ?? 0).toFixed(1)}
        </span>{' '}
        {say(M.eighthsFromSnug)} <Length key="e" mm={t.reductionPerEighthMm} decimals={4} /> {say(M.each)}
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

/** How far it has come and how far to turn now, readable from two metres; all else that is known stands behind a touch. */
export function DriveUpSide({ values: v }: { values: DriveUpStepValues }) {
  const say = useSay();
  const aim = v.target.aimMm;
  const { turnNowDeg: turnNow } = v;
  return (
    <div className="flex flex-col gap-3">
      <div>
        <h2 className="kicker m-0">{say(M.soFar)}</h2>
        <p className="m-0 text-5xl font-semibold leading-tight" data-so-far={v.reductionMm ?? ''}>
          {v.reductionMm === null ? '–' : <Length mm={v.reductionMm} unit={false} />}
        </p>
        {aim !== null && (
          <p className="m-0">
            {say(M.of)} <Length mm={aim} /> {say(COMMON.reduction2)}
            {v.fractionOfAim !== null && <>, {Math.round(100 * v.fractionOfAim)} %</>}
          </p>
        )}
      </div>
      {v.eighthsToAim !== null && v.place !== 'over-driven' && (
        <>
          {turnNow > 0 && (
            <div>
              <h2 className="kicker m-0">{say(M.turnNow)}</h2>
              <p className="figures m-0 text-3xl font-semibold leading-tight" data-turn-now={turnNow}>
                {turnNow}°
              </p>
            </div>
          )}
          <details className="border-t border-faint pt-1">
            <summary className="kicker flex min-h-12 cursor-pointer items-center">
              {say(COMMON.details)}
            </summary>
            <p className="m-0 text-[0.95rem] leading-snug">
              {say(M.stillTurn)} <span className="figures">{v.eighthsToAim.toFixed(1)}</span> {say(M.eighths)}{' '}
              <span className="figures text-muted">± {(v.eighthsToAimExpanded ?? 0).toFixed(1)}</span>
            </p>
            <LockAhead values={v} />
            {v.advice && <Chances advice={v.advice} />}
          </details>
        </>
      )}
    </div>
  );
}

/** In a hundred, as people say chances; nothing and certainty are never claimed. */
const ofHundred = (share: number): Text =>
  share < 0.01 ? COMMON.under : share > 0.99 ? COMMON.over2 : String(Math.round(100 * share));

/** Model and feelers weighed together: how far may be turned before the next feeling, and what then. */
function Chances({ advice }: { advice: NonNullable<DriveUpStepValues['advice']> }) {
  const say = useSay();
  const { turnDeg, now, then } = advice;
  return (
    <p className="m-0 text-[0.95rem] leading-snug" data-advice={turnDeg}>
      {turnDeg === 0 ? (
        <>
          {say(M.modelFeelers)} <strong>{say(M.stopHere)}</strong>
          {say(M.band100Past({ hundred: ofHundred(now.inBand), hundred2: ofHundred(now.over) }))}
        </>
      ) : (
        <>
          {say(M.modelFeelersUp)}{' '}
          <strong>
            <span className="figures">{turnDeg}°</span>
          </strong>{' '}
          {say(M.mayTurnedBeforeNextFeeling({ hundred: ofHundred(then.over) }))}
        </>
      )}
    </p>
  );
}

/** Where the lock meets and what it costs, told before the last eighth. */
function LockAhead({ values }: { values: DriveUpStepValues }) {
  const say = useSay();
  const { lock } = values;
  const stop = lock.best ?? lock.least;
  if (!stop) {
    return (
      <p className="m-0 text-[0.95rem] leading-snug text-muted">
        {say(M.nextTabNotMeasuredCosts)} <Length mm={lock.worstCostMm} decimals={4} />
        {say(M.forward({ worst: lock.worstDeg.toFixed(1) }))}
      </p>
    );
  }
  return (
    <p className="m-0 text-[0.95rem] leading-snug" data-lock-ahead={stop.forwardDeg}>
      {lock.best ? say(M.stopWhereTabMeets) : say(M.nextTabMeets)}
      <span className="figures">{stop.forwardDeg.toFixed(1)}°</span> {say(M.costs)}{' '}
      <Length mm={stop.costMm} decimals={4} />
      {stop.inBand !== null && (stop.inBand ? say(M.band) : say(M.notBand))}
    </p>
  );
}
