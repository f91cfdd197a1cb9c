import { type DriveUpHydraulicValues, formatPressure, lengthDigits } from '@fulcrant/core';
import { useSettings } from '../app/settings.tsx';
import { Dimension, Figure, Label } from './drawing.tsx';

const W = 680;
const H = 268;
const PLOT = { x: 372, y: 20, w: 286, h: 204 };
/** Travel is drawn so many times its size at the nut. */
const ENLARGED = 25;

type Props = { values: DriveUpHydraulicValues; typedMpa: number | null; twoNuts: boolean };

/** The hydraulic nut in section with its piston out as far as the bearing went, and pressure over travel with its limits. */
export function PumpFigure({ values: v, typedMpa, twoNuts }: Props) {
  const { unit } = useSettings();
  const most = Math.max(v.driveUpMaxMm * 1.25, ...v.points.map((p) => 1.05 * (p.travelMm ?? 0)));
  const top = Math.max(v.abortPressureMpa * 1.12, ...v.points.map((p) => 1.05 * p.pressureMpa));
  const px = (mm: number) => PLOT.x + (PLOT.w * Math.max(0, mm)) / most;
  const py = (mpa: number) => PLOT.y + PLOT.h - (PLOT.h * mpa) / top;
  const read = v.points.filter((p) => p.travelMm !== null);
  const start = { x: px(0), y: py(v.startPressureMpa) };
  const path = [start, ...read.map((p) => ({ x: px(p.travelMm ?? 0), y: py(p.pressureMpa) }))];
  const out = Math.min(58, ENLARGED * (v.travelMm ?? 0));
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full"
      role="img"
      aria-label={`Hydraulic nut: driven ${lengthDigits(v.travelMm ?? 0, unit)} of ${lengthDigits(v.driveUpMinMm, unit)} to ${lengthDigits(v.driveUpMaxMm, unit)} ${unit}, abort at ${formatPressure(v.abortPressureMpa, unit)}`}
    >
      <NutSection out={out} twoNuts={twoNuts} />
      {v.travelMm !== null && (
        <Dimension x1={176 - out} y1={34} x2={176} y2={34} tone="brass">
          {lengthDigits(v.travelMm, unit)}
        </Dimension>
      )}
      <Label x={150} y={H - 6} tone="muted" size={14.5}>
        section, travel ×{ENLARGED}
      </Label>
      <rect
        x={px(v.driveUpMinMm)}
        y={PLOT.y}
        width={px(v.driveUpMaxMm) - px(v.driveUpMinMm)}
        height={PLOT.h}
        fill="var(--good)"
        opacity="0.18"
      />
      <g stroke="var(--ink)" strokeWidth="1.4" fill="none">
        <path d={`M${PLOT.x} ${PLOT.y}V${PLOT.y + PLOT.h}H${PLOT.x + PLOT.w}`} />
        <path
          d={`M${PLOT.x} ${py(v.abortPressureMpa)}H${PLOT.x + PLOT.w}`}
          stroke="var(--stop)"
          strokeDasharray="9 5"
          strokeWidth="2"
        />
        <path d={`M${PLOT.x - 5} ${start.y}h12`} stroke="var(--steel)" strokeWidth="2.5" />
      </g>
      <Label x={PLOT.x + PLOT.w} y={py(v.abortPressureMpa) - 6} anchor="end" tone="stop">
        abort {formatPressure(v.abortPressureMpa, unit)}
      </Label>
      <Label x={PLOT.x - 9} y={start.y + 5} anchor="end" tone="steel">
        start {formatPressure(v.startPressureMpa, unit)}
      </Label>
      <Figure x={px(v.driveUpMinMm)} y={H - 26} size={14} tone="muted">
        {lengthDigits(v.driveUpMinMm, unit, 2)}
      </Figure>
      <Figure x={px(v.driveUpMaxMm) + 6} y={H - 26} size={14} tone="muted" anchor="start">
        {lengthDigits(v.driveUpMaxMm, unit, 2)}
      </Figure>
      <Label x={PLOT.x + PLOT.w / 2} y={H - 6} tone="muted" size={14.5}>
        pressure over drive-up from the start pressure
      </Label>
      {v.zeroed && path.length > 1 && (
        <path
          d={path.map((p, i) => `${i ? 'L' : 'M'}${p.x} ${p.y}`).join('')}
          fill="none"
          stroke="var(--steel)"
          strokeWidth="2.5"
        />
      )}
      {v.zeroed && <circle cx={start.x} cy={start.y} r="5" fill="var(--brass)" />}
      {read.map((p) => (
        <circle
          key={p.n}
          cx={px(p.travelMm ?? 0)}
          cy={py(p.pressureMpa)}
          r="5.5"
          fill={p.aborted ? 'var(--stop)' : 'var(--ink)'}
        />
      ))}
      {typedMpa !== null && (
        <path
          d={`M${PLOT.x} ${py(Math.min(top, typedMpa))}h${PLOT.w}`}
          stroke="var(--brass)"
          strokeWidth="2"
          strokeDasharray="2 4"
        />
      )}
    </svg>
  );
}

/** Upper half of shaft, sleeve, bearing and nut; the piston stands out of the nut against the ring. */
function NutSection({ out, twoNuts }: { out: number; twoNuts: boolean }) {
  return (
    <g stroke="var(--ink)" strokeWidth="1.6" strokeLinejoin="round">
      <rect x="20" y="196" width="300" height="34" fill="var(--shade)" />
      <path d="M40 196V184L270 168V196z" fill="var(--paper)" />
      <path
        d={`M${82 - out} ${181 + out * 0.07}V122H${176 - out}V${175 + out * 0.07}z`}
        fill="var(--shade)"
      />
      <path d={`M${76 - out} 66H${182 - out}V48H${76 - out}z`} fill="var(--shade)" />
      {[104, 152].map((x) => (
        <rect key={x} x={x - out - 15} y="72" width="30" height="44" rx="6" fill="var(--paper)" />
      ))}
      <path d="M196 170V92H262V168z" fill="var(--shade)" />
      <path d="M204 150V106H226V150z" fill="var(--brass)" opacity="0.35" stroke="none" />
      <path d={`M${176 - out} 148V108H214V148z`} fill="var(--paper)" />
      <path d="M262 112h22v-26h14" fill="none" stroke="var(--brass)" strokeWidth="3" />
      {twoNuts && <path d="M24 184V128H62V182z" fill="var(--paper)" strokeDasharray="5 3" />}
      <Label x={230} y={84} tone="ink" size={15}>
        nut
      </Label>
      {twoNuts && (
        <Label x={43} y={120} tone="muted" size={14}>
          other nut
        </Label>
      )}
      <g stroke="var(--brass)" fill="none" strokeWidth="2.4">
        <path d={`M${176 - out} 57h${26 + out}`} />
        <circle cx="216" cy="57" r="13" fill="var(--paper)" />
        <path d="M216 57l5 -7" />
      </g>
    </g>
  );
}
