import type { DriveUpAngleValues, DriveUpHydraulicValues } from '@fulcrant/core/trades';
import { formatPressure } from '@fulcrant/core/units';
import type { ReactNode } from 'react';
import { Length } from '../../ui/Num.tsx';
import { useSettings } from '../../ui/settings.tsx';

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
  const stop = v.stops.find((s) => s.inBand) ?? v.stops[0];
  return (
    <div className="flex flex-col gap-3" data-turned={v.turnedDeg}>
      <Big
        title="From the mark"
        under={
          <>
            of {v.makerMinDeg}° to {v.makerMaxDeg}°, by the maker’s sheet
          </>
        }
      >
        <span className="figures">{v.turnedDeg}°</span>
      </Big>
      {v.place === 'short' || v.place === 'not-begun' ? (
        <Big title="Still to turn" under="never back">
          <span className="figures text-3xl">
            {(v.leftMinDeg ?? v.makerMinDeg).toFixed(0)}° to {(v.leftMaxDeg ?? v.makerMaxDeg).toFixed(0)}°
          </span>
        </Big>
      ) : null}
      {stop && (
        <p className="m-0 leading-snug">
          Lock meets <span className="figures">{stop.forwardDeg.toFixed(1)}°</span> on
          {stop.inBand ? ', in the band.' : ', not in the band.'}
        </p>
      )}
      <p className="m-0 text-[0.95rem] leading-snug text-muted">
        For information, no verdict: travel <Length mm={v.travelMm} decimals={2} />, by the taper’s sum{' '}
        <Length mm={v.reductionMinMm} unit={false} /> to <Length mm={v.reductionMaxMm} /> of clearance over
        the band.
      </p>
    </div>
  );
}

/** The same of a hydraulic nut. */
export function PumpSide({ values: v }: { values: DriveUpHydraulicValues }) {
  const { unit } = useSettings();
  return (
    <div className="flex flex-col gap-3" data-travel={v.travelMm ?? ''}>
      <Big
        title="Driven up"
        under={
          <>
            of <Length mm={v.driveUpMinMm} decimals={2} unit={false} /> to{' '}
            <Length mm={v.driveUpMaxMm} decimals={2} />, by the maker’s sheet
          </>
        }
      >
        {v.travelMm === null ? '–' : <Length mm={v.travelMm} unit={false} />}
      </Big>
      {v.place === 'short' && v.leftMinMm !== null && v.leftMaxMm !== null && (
        <Big title="Still to go" under="from the same zero">
          <span className="text-3xl">
            <Length mm={v.leftMinMm} decimals={2} unit={false} /> to <Length mm={v.leftMaxMm} decimals={2} />
          </span>
        </Big>
      )}
      <p className="m-0 leading-snug">
        Start {formatPressure(v.startPressureMpa, unit)} on this nut
        {v.abortPressureMpa === null ? '' : `; abort at ${formatPressure(v.abortPressureMpa, unit)}`}.
      </p>
    </div>
  );
}
