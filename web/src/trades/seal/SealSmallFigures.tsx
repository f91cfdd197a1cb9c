import type { GasValues, ThrottleValues } from '@fulcrant/core/trades';
import { formatPressure, lengthDigits } from '@fulcrant/core/units';
import { Axis, Dimension, Figure, Label, spot } from '../../figures/drawing.tsx';
import { useSettings } from '../../ui/settings.tsx';

/** What wear is measured against: pins standing out of the seal, or the stationary's back beside the setting spacer. */
export function BaselineFigure({ mm, pins }: { mm: number | null; pins: boolean }) {
  const { unit } = useSettings();
  const out = Math.max(-26, Math.min(70, (mm ?? 0) * 18));
  const face = 360;
  return (
    <svg
      viewBox="0 0 680 220"
      className="block w-full"
      role="img"
      aria-label={`Wear baseline ${mm === null ? 'not measured' : lengthDigits(mm, unit, 2)}`}
    >
      <Axis x1={60} x2={620} y1={190} y2={190} />
      <rect
        x="120"
        y="40"
        width={face - 120}
        height="120"
        fill="var(--shade)"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
      {pins ? (
        <rect
          x="200"
          y="86"
          width={face - 200 + out}
          height="26"
          fill="var(--paper)"
          stroke="var(--brass)"
          strokeWidth="2.5"
        />
      ) : (
        <>
          <rect
            x="200"
            y="76"
            width={face - 200 + out}
            height="84"
            fill="var(--paper)"
            stroke="var(--brass)"
            strokeWidth="2.5"
          />
          <rect
            x={face + 1}
            y="34"
            width="26"
            height="40"
            fill="var(--steel)"
            opacity="0.6"
            stroke="var(--ink)"
          />
          <Label x={face + 36} y={56} anchor="start" tone="steel">
            setting spacer against the gland
          </Label>
        </>
      )}
      <line x1={face} x2={face} y1="24" y2="182" stroke="var(--ink)" strokeWidth="1.4" />
      <Dimension
        x1={face}
        y1={140}
        x2={face + (Math.abs(out) < 4 ? 34 : out)}
        y2={140}
        tone="brass"
        side={24}
      >
        {mm === null ? '–' : lengthDigits(mm, unit, 2)}
      </Dimension>
      <Label x={240} y={186} tone="muted">
        {pins
          ? 'locking pin; flush means order the service'
          : 'stationary; its back follows the wear of the faces'}
      </Label>
      <Label x={4} y={214} anchor="start" tone="muted" size={14}>
        not to scale; + stands proud
      </Label>
    </svg>
  );
}

/** Throttle round its shaft, with the clearance felt at three places. */
export function ThrottleFigure({
  values: v,
  active,
}: {
  values: ThrottleValues;
  active: string | undefined;
}) {
  const { unit } = useSettings();
  const [cx, cy] = [230, 126];
  return (
    <svg
      viewBox="0 0 680 256"
      className="block w-full"
      role="img"
      aria-label={`Throttle clearances ${v.clearancesMm.map((c) => (c === null ? 'not felt' : lengthDigits(c, unit, 2))).join(', ')}`}
    >
      <circle cx={cx} cy={cy} r="104" fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.8" />
      <circle cx={cx} cy={cy} r="72" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.6" />
      <circle cx={cx} cy={cy} r="66" fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.6" />
      {v.clearancesMm.map((c, i) => {
        const deg = 120 * i;
        const p = spot(cx, cy, deg, 69);
        const t = spot(cx, cy, deg, 88);
        const on = active === `throttle/${deg}`;
        return (
          <g key={deg}>
            <circle cx={p.x} cy={p.y} r="6" fill={on ? 'var(--brass)' : 'var(--ink)'} />
            <Figure x={t.x} y={t.y + 5} tone={on ? 'brass' : 'ink'} size={15} strong={on}>
              {c === null ? '–' : lengthDigits(c, unit, 2)}
            </Figure>
          </g>
        );
      })}
      <Label x={400} y={112} anchor="start" size={17} strong>
        throttle on its shaft
      </Label>
      <Label x={400} y={136} anchor="start" tone="muted">
        felt at 0°, 120°, 240°, from the top clockwise
      </Label>
      <Label x={4} y={250} anchor="start" tone="muted" size={14}>
        end view; the clearance is drawn larger than it is
      </Label>
    </svg>
  );
}

/** The window of the purge gas over the process, and where the gauge stands. */
export function GasFigure({
  values: v,
  processMpa,
  typed,
}: {
  values: GasValues;
  processMpa: number;
  typed: number | null;
}) {
  const { unit } = useSettings();
  const gas = typed ?? v.gasMpa;
  const top = Math.max(v.highMpa * 1.15, gas ?? 0) || 1;
  const low = processMpa * 0.8;
  const x = (mpa: number) => 60 + (560 * Math.max(0, mpa - low)) / (top - low);
  return (
    <svg
      viewBox="0 0 680 190"
      className="block w-full"
      role="img"
      aria-label={`Gas window ${formatPressure(v.lowMpa, unit)} to ${formatPressure(v.highMpa, unit)}`}
    >
      <rect
        x={x(v.lowMpa)}
        y="78"
        width={x(v.highMpa) - x(v.lowMpa)}
        height="26"
        fill="var(--good)"
        opacity="0.35"
      />
      <line x1="60" x2="620" y1="104" y2="104" stroke="var(--ink)" strokeWidth="1.8" />
      {(
        [
          [processMpa, 'process'],
          [v.lowMpa, 'least'],
          [v.highMpa, 'most'],
        ] as const
      ).map(([mpa, word], i) => (
        <g key={word}>
          <line x1={x(mpa)} x2={x(mpa)} y1="72" y2="112" stroke="var(--ink)" strokeWidth="1.6" />
          <Figure x={x(mpa)} y={132 + 0 * i} size={15}>
            {formatPressure(mpa, unit)}
          </Figure>
          <Label x={x(mpa)} y={150} tone="muted">
            {word}
          </Label>
        </g>
      ))}
      {gas !== null && (
        <>
          <path d={`M${x(gas)} 76l-10 -22h20z`} fill="var(--brass)" />
          <Figure x={x(gas)} y={44} size={19} tone="brass" strong>
            {formatPressure(gas, unit)}
          </Figure>
        </>
      )}
      <Label x={4} y={184} anchor="start" tone="muted" size={14}>
        gauge opposite the inlet; one regulator for each seal
      </Label>
    </svg>
  );
}
