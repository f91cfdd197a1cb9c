import type { FirstFillValues } from '@fulcrant/core/calculators';
import type { StrokesValues } from '@fulcrant/core/trades';
import { Figure, Label, spot } from './drawing.tsx';

const ROLLERS_DEG = [0, 30, 60, 90, 120, 150, 180, 210, 240, 270, 300, 330];

/** Housing and bearing seen from the end, filled as far as the sum says: areas in proportion to the volumes. */
export function FillFigure({ values: v, housingCm3 }: { values: FirstFillValues; housingCm3: number }) {
  // Without volumes the base stands level with the shaft’s underside, as it is seen.
  const share = v.housingCm3 === null ? 0.26 : housingCm3 > 0 ? Math.min(1, v.housingCm3 / housingCm3) : 0;
  const full = v.bearingCm3 === null ? '' : `, ${v.bearingCm3.toFixed(0)} cm³`;
  const housing =
    v.housingCm3 === null
      ? 'base to the shaft’s underside'
      : housingCm3 > 0
        ? `housing ${v.housingCm3.toFixed(0)} of ${housingCm3.toFixed(0)} cm³`
        : `base ${v.housingCm3.toFixed(0)} cm³`;
  const [top, bottom] = [34, 212];
  const level = bottom - (bottom - top) * share;
  return (
    <svg
      viewBox="0 0 680 240"
      className="block w-full"
      role="img"
      aria-label={`Bearing full${full}, ${housing}`}
    >
      <clipPath id="housing">
        <path d="M210 212V120A110 86 0 0 1 430 120V212z" />
      </clipPath>
      <g clipPath="url(#housing)">
        <rect x="200" y={level} width="240" height={bottom - level} fill="var(--brass)" opacity="0.3" />
      </g>
      <path d="M210 212V120A110 86 0 0 1 430 120V212z" fill="none" stroke="var(--ink)" strokeWidth="2.4" />
      <circle
        cx="320"
        cy="128"
        r="74"
        fill="var(--brass)"
        fillOpacity="0.55"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
      {ROLLERS_DEG.map((deg) => (
        <circle
          key={deg}
          cx={spot(320, 128, deg, 56).x}
          cy={spot(320, 128, deg, 56).y}
          r="12"
          fill="var(--paper)"
          stroke="var(--ink)"
        />
      ))}
      <circle cx="320" cy="128" r="38" fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.8" />
      {v.totalG !== null && (
        <>
          <Figure x={470} y={110} anchor="start" size={24} strong tone="steel">
            {v.totalG.toFixed(0)} g
          </Figure>
          <Label x={470} y={132} anchor="start" tone="muted">
            in all{v.strokes ? `, ${v.strokes} strokes of the gun` : ''}
          </Label>
        </>
      )}
      <Label x={196} y={104} anchor="end">
        bearing full{full}
      </Label>
      <Label x={196} y={Math.min(206, level + 20)} anchor="end">
        {housing}
      </Label>
      <Label x={4} y={234} anchor="start" tone="muted" size={14.5}>
        {v.speedFactor === null ? '' : `n·dm ${Math.round(v.speedFactor)}; `}how much, not where it lies
      </Label>
    </svg>
  );
}

/** The gun's strokes as a row to be counted off: given ones dark, those still to come open. */
export function StrokesFigure({ values: v }: { values: StrokesValues }) {
  const shown = Math.max(v.strokes, v.given);
  const per = Math.max(12, Math.ceil(shown / 4));
  const step = Math.min(40, 600 / per);
  return (
    <svg
      viewBox="0 0 680 210"
      className="block w-full"
      role="img"
      aria-label={`${v.given} of ${v.strokes} strokes given`}
    >
      {Array.from({ length: shown }, (_, i) => i).map((i) => (
        <rect
          key={i}
          x={40 + (i % per) * step}
          y={24 + Math.floor(i / per) * 34}
          width={step - 4}
          height="26"
          fill={i < v.given ? (i < v.strokes ? 'var(--ink)' : 'var(--stop)') : 'var(--paper)'}
          stroke="var(--ink)"
          strokeWidth="1.4"
        />
      ))}
      <Figure x={40} y={190} anchor="start" size={24} strong tone="steel">
        {v.given} of {v.strokes}
      </Figure>
      <Label x={170} y={190} anchor="start" tone="muted">
        strokes, {v.gramsGiven.toFixed(0)} of {v.grams.toFixed(0)} g
      </Label>
    </svg>
  );
}
