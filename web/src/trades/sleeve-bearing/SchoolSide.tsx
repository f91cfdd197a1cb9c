import { COMMON } from '@fulcrant/core/messages';
import type { DriveUpAngleValues, DriveUpHydraulicValues } from '@fulcrant/core/trades';
import { formatPressure } from '@fulcrant/core/units';
import type { ReactNode } from 'react';
import { Length } from '../../ui/Num.tsx';
import { useSay, useSettings } from '../../ui/settings.tsx';
import { M } from './messages.ts';

function Big({ title, children, under }: { title: string; children: ReactNode; under: ReactNode }) {
  return (
    <div>
      <h2 className="kicker m-0">{title}</h2>
      <p className="m-0 text-5xl font-semibold leading-tight">{children}</p>
      <p className="m-0">{under}</p>
    </div>
  );
}

/** How far a drive-up by nut angle is, and what is left, readable from two metres. */
export function AngleSide({ values: v }: { values: DriveUpAngleValues }) {
  const say = useSay();
  const stop = v.stops.find((s) => s.inBand) ?? v.stops[0];
  return (
    <div className="flex flex-col gap-3" data-turned={v.turnedDeg}>
      <Big
        title={say(M.fromMark)}
        under={say(M.makersSheet({ makerMin: v.makerMinDeg, makerMax: v.makerMaxDeg }))}
      >
        <span className="figures">{v.turnedDeg}°</span>
      </Big>
      {v.place === 'short' || v.place === 'not-begun' ? (
        <Big title={say(M.stillTurn)} under={say(M.neverBack)}>
          <span className="figures text-3xl">
            {say(
              M.to({
                leftMin: (v.leftMinDeg ?? v.makerMinDeg).toFixed(0),
                leftMax: (v.leftMaxDeg ?? v.makerMaxDeg).toFixed(0),
              }),
            )}
          </span>
        </Big>
      ) : null}
      {stop && (
        <p className="m-0 leading-snug">
          {say(M.lockMeets)} <span className="figures">{stop.forwardDeg.toFixed(1)}°</span>{' '}
          {say(M.on({ inBand: stop.inBand ? 'band' : 'notBand' }))}
        </p>
      )}
      <p className="m-0 text-[0.95rem] leading-snug text-muted">
        {say(M.informationNoVerdictTravel)} <Length mm={v.travelMm} decimals={2} />
        {say(M.tapersSum)} <Length mm={v.reductionMinMm} unit={false} /> {say(COMMON.to2)}{' '}
        <Length mm={v.reductionMaxMm} /> {say(M.clearanceOverBand)}
      </p>
    </div>
  );
}

/** The same of a hydraulic nut. */
export function PumpSide({ values: v }: { values: DriveUpHydraulicValues }) {
  const say = useSay();
  const { unit } = useSettings();
  return (
    <div className="flex flex-col gap-3" data-travel={v.travelMm ?? ''}>
      <Big
        title={say(M.drivenUp)}
        under={
          <>
            {say(M.of)} <Length mm={v.driveUpMinMm} decimals={2} unit={false} /> {say(COMMON.to2)}{' '}
            <Length mm={v.driveUpMaxMm} decimals={2} />
            {say(M.makersSheet2)}
          </>
        }
      >
        {v.travelMm === null ? '–' : <Length mm={v.travelMm} unit={false} />}
      </Big>
      {v.place === 'short' && v.leftMinMm !== null && v.leftMaxMm !== null && (
        <Big title={say(M.stillGo)} under={say(M.fromSameZero)}>
          <span className="text-3xl">
            <Length mm={v.leftMinMm} decimals={2} unit={false} /> {say(COMMON.to2)}{' '}
            <Length mm={v.leftMaxMm} decimals={2} />
          </span>
        </Big>
      )}
      <p className="m-0 leading-snug">
        {say(
          M.startNut({
            startPressure: formatPressure(v.startPressureMpa, unit),
            abortPressure:
              v.abortPressureMpa === null
                ? ''
                : M.abort({ abortPressure: formatPressure(v.abortPressureMpa, unit) }),
          }),
        )}
      </p>
    </div>
  );
}
