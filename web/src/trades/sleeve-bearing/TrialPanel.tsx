import { COMMON } from '@fulcrant/core/messages';
import type { DriveUpStepValues } from '@fulcrant/core/trades';
import type { MonteCarloInput, MonteCarloResult, StopChances } from '@fulcrant/core/trials';
import { sayNutAngle } from '@fulcrant/core/units';
import { Length } from '../../ui/Num.tsx';
import { useSay, Words } from '../../ui/settings.tsx';
import { M } from './messages.ts';
import { TRIAL_SAMPLES, useTrial } from './use-trial.ts';

/** The same job at the same reading draws the same numbers, on every device. */
const seedOf = (text: string): number => {
  let h = 2166136261;
  for (const c of text) h = Math.imul(h ^ c.charCodeAt(0), 16777619);
  return h >>> 0;
};

/** Most lock positions listed. */
const SHOWN_STOPS = 5;

/** What is known of the bearing, as the trial takes it; null before there is a band to end in. */
function inputOf(
  v: DriveUpStepValues,
  benchMm: number,
  benchU: number,
  bladeStepMm: number,
  jobId: string,
): MonteCarloInput | null {
  const t = v.target;
  const { reductionMinMm, reductionMaxMm, leastResidualMm, aimMm } = t;
  if (reductionMinMm === null || reductionMaxMm === null || leastResidualMm === null || aimMm === null)
    return null;
  if (v.points.length === 0 || v.place === 'over-driven') return null;
  const here = v.points.at(-1)?.angleDeg ?? 0;
  // Of the lock positions ahead those nearest the aim: the others are as good as hopeless.
  const far = (a: { reductionMm: number | null }) => Math.abs((a.reductionMm ?? 0) - aimMm);
  const ahead = [...v.lock.ahead]
    .sort((a, b) => far(a) - far(b))
    .slice(0, SHOWN_STOPS)
    .map((a) => here + a.forwardDeg)
    .sort((a, b) => a - b);
  const spaced = [15, 30, 45, 60, 90].map((deg) => here + deg);
  return {
    seed: seedOf(`${jobId} ${here}`),
    samples: TRIAL_SAMPLES,
    benchMm,
    benchU,
    expectedPerDegMm: t.reductionPerEighthMm / 45,
    bladeStepMm,
    points: v.points.map(({ angleDeg, clearanceMm, u }) => ({ angleDeg, clearanceMm, u })),
    band: { reductionMinMm, reductionMaxMm, leastResidualMm },
    aimMm,
    nowDeg: here,
    stopsDeg: [here, ...(ahead.length > 0 ? ahead.filter((deg) => deg > here + 1e-6) : spaced)],
  };
}

type Props = {
  values: DriveUpStepValues;
  benchMm: number;
  benchU: number;
  bladeStepMm: number;
  jobId: string;
};

/** A hundred thousand drive-ups from here: how far is left, and which lock position most likely ends in the band. */
export default function TrialPanel({ values, benchMm, benchU, bladeStepMm, jobId }: Props) {
  const say = useSay();
  const input = inputOf(values, benchMm, benchU, bladeStepMm, jobId);
  const { progress, result, ms, fault } = useTrial(input);
  if (!input) return null;
  return (
    <section
      aria-label={say(M.triedManyTimes)}
      data-trial={result ? 'done' : 'running'}
      data-trial-ms={ms ?? ''}
    >
      <h2 className="kicker m-0">{say(M.ifWereDone100000)}</h2>
      {progress < 1 && !fault && (
        <progress
          className="block h-1.5 w-full accent-[var(--steel)]"
          value={progress}
          max={1}
          aria-label={say(M.shareTrialsDrawn)}
        />
      )}
      {fault && (
        <p className="m-0 text-sm text-muted">
          <Words of={fault} />
        </p>
      )}
      {result && <Outcome result={result} nowDeg={input.nowDeg} atLock={values.lock.ahead.length > 0} />}
    </section>
  );
}

const hundred = (share: number): string =>
  share < 0.005 ? '<1' : share > 0.995 && share < 1 ? '>99' : String(Math.round(100 * share));

function Outcome({ result, nowDeg, atLock }: { result: MonteCarloResult; nowDeg: number; atLock: boolean }) {
  const say = useSay();
  const { leftDeg, best } = result;
  return (
    <>
      <p className="m-0 leading-snug">
        {say(M.leftTurn)}{' '}
        <strong className="figures" data-left={leftDeg.middle.toFixed(1)}>
          {leftDeg.middle.toFixed(0)}°
        </strong>
        {say(M.n90100({ low: leftDeg.low.toFixed(0), high: leftDeg.high.toFixed(0) }))}
      </p>
      <table className="w-full border-collapse text-left text-[0.95rem]">
        <thead>
          <tr className="kicker">
            <th className="font-medium">{atLock ? say(M.stop) : say(M.turn)}</th>
            <th className="text-right font-medium">{say(M.band2)}</th>
            <th className="text-right font-medium">{say(COMMON.over)}</th>
            <th className="text-right font-medium">{say(M.leaves)}</th>
          </tr>
        </thead>
        <tbody>
          {result.stops.map((s) => (
            <Row key={s.angleDeg} stop={s} nowDeg={nowDeg} best={best?.angleDeg === s.angleDeg} />
          ))}
        </tbody>
      </table>
      <Bars histogram={result.histogram} />
      {best && (
        <p className="m-0 leading-snug" data-best={(best.angleDeg - nowDeg).toFixed(1)}>
          {best.angleDeg === nowDeg ? (
            say(M.bestWhereStands)
          ) : (
            <>
              {say(M.best({ atLock: atLock ? 'lock' : 'stop' }))}{' '}
              <strong>{say(M.on2({ angle: (best.angleDeg - nowDeg).toFixed(1) }))}</strong>
              {say(
                M.nut100EndBand({
                  angle: sayNutAngle(Number(best.angleDeg.toFixed(1))),
                  hundred: hundred(best.inBand),
                }),
              )}
            </>
          )}
        </p>
      )}
    </>
  );
}

function Row({ stop, nowDeg, best }: { stop: StopChances; nowDeg: number; best: boolean }) {
  const say = useSay();
  const on = stop.angleDeg - nowDeg;
  return (
    <tr className={`border-t border-faint ${best ? 'font-semibold' : ''}`}>
      <td className="figures">{on === 0 ? say(M.here) : `+${on.toFixed(1)}°`}</td>
      <td className="figures text-right">{hundred(stop.inBand)}</td>
      <td className={`figures text-right ${stop.over > 0.02 ? 'text-stop' : ''}`}>{hundred(stop.over)}</td>
      <td className="text-right">
        <Length mm={stop.residualMm.middle} unit={false} />
      </td>
    </tr>
  );
}

/** How the residual clearance would fall out at the best stop. */
function Bars({ histogram: h }: { histogram: MonteCarloResult['histogram'] }) {
  const say = useSay();
  const top = Math.max(...h.shares, 1e-9);
  return (
    <figure className="m-0">
      <svg viewBox="0 0 240 46" className="block w-full" aria-hidden="true">
        <path
          d={h.shares.map((s, i) => `M${(240 * (i + 0.5)) / h.shares.length} 44v${(-40 * s) / top}`).join('')}
          stroke="var(--steel)"
          strokeWidth={240 / h.shares.length - 2}
        />
        <path d="M0 45H240" stroke="var(--ink)" />
      </svg>
      <figcaption className="flex justify-between text-sm text-muted">
        <Length mm={h.fromMm} unit={false} />
        <span>{say(M.residualThere)}</span>
        <Length mm={h.toMm} unit={false} />
      </figcaption>
    </figure>
  );
}
