import type { FloatRoomValues } from '@fulcrant/core/steps';
import type { AxialPlaceValues, RaceGapsStepValues } from '@fulcrant/core/trades';
import { lengthDigits } from '@fulcrant/core/units';
import { useSettings } from '../ui/settings.tsx';
import { Axis, Dimension, Figure, Label, spot } from './drawing.tsx';

const W = 680;
const H = 268;
const CX = 340;
const CY = 132;
/** Joint gaps are drawn so many times their size. */
const GAP_TIMES = 12;

/** Half a ring about the middle from one angle to another, degrees clockwise from the top. */
function ringPart(from: number, to: number, r0: number, r1: number): string {
  const [a, b] = [spot(CX, CY, from, r1), spot(CX, CY, to, r1)];
  const [c, d] = [spot(CX, CY, to, r0), spot(CX, CY, from, r0)];
  return `M${a.x} ${a.y}A${r1} ${r1} 0 0 1 ${b.x} ${b.y}L${c.x} ${c.y}A${r0} ${r0} 0 0 0 ${d.x} ${d.y}z`;
}

/** Half the angle a gap opens at a radius, drawn enlarged; a joint not measured is drawn as a thin line. */
const opening = (mm: number | null, shaftMm: number, r: number): number =>
  mm === null ? 0.6 : Math.min(9, ((mm * GAP_TIMES * 72) / (shaftMm / 2) / r) * 28.6 + (mm > 0 ? 0.8 : 0));

/** Inner race and clamp rings end on, joints at 12 and 6 o'clock, the rings' joints turned off them. */
export function RaceFigure({
  values: v,
  shaftMm,
  place,
  what = 'race',
}: {
  values: Pick<RaceGapsStepValues, 'raceMm' | 'ringMm' | 'ring2Mm' | 'offsetDeg' | 'offsetWantedDeg'>;
  shaftMm: number;
  place: string | undefined;
  /** What is split: the race of a bearing, or the holder of a seal. */
  what?: 'race' | 'split';
}) {
  const { unit } = useSettings();
  const say = (mm: number | null) => (mm === null ? '–' : lengthDigits(mm, unit, 2));
  const [rs, r0, r1, c0, c1] = [70, 71, 88, 91, 110];
  const a = opening(v.raceMm.a, shaftMm, r0);
  const b = opening(v.raceMm.b, shaftMm, r0);
  const off = v.offsetDeg ?? v.offsetWantedDeg;
  const tone = (key: string) => (place === key ? 'brass' : 'ink');
  const ring = v.ringMm;
  const both = (side: 'a' | 'b') => `${say(ring?.[side] ?? null)} ${say(v.ring2Mm?.[side] ?? null)}`;
  const ra = opening(ring?.a ?? null, shaftMm, c0);
  const rb = opening(ring?.b ?? null, shaftMm, c0);
  const joint = (deg: number, r: number) => spot(CX, CY, deg, r);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full"
      role="img"
      aria-label={`Split part end on: gaps ${say(v.raceMm.a)} at the top and ${say(v.raceMm.b)} at the bottom`}
    >
      <Axis x1={CX - 190} x2={CX + 190} y1={CY} y2={CY} />
      <Axis x1={CX} x2={CX} y1={4} y2={H - 20} />
      <circle cx={CX} cy={CY} r={rs} fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.6" />
      <g fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.8">
        <path d={ringPart(a, 180 - b, r0, r1)} />
        <path d={ringPart(180 + b, 360 - a, r0, r1)} />
      </g>
      {ring && (
        <g fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.8">
          <path d={ringPart(off + ra, off + 180 - rb, c0, c1)} />
          <path d={ringPart(off + 180 + rb, off + 360 - ra, c0, c1)} />
        </g>
      )}
      <Mark
        x={CX}
        y={CY - 98}
        toX={CX + 118}
        toY={26}
        tone={tone(`${what}/a`)}
        label={what === 'race' ? 'race, 12 o’clock' : 'one split'}
        value={say(v.raceMm.a)}
      />
      <Mark
        x={CX}
        y={CY + 80}
        toX={CX + 118}
        toY={H - 34}
        tone={tone(`${what}/b`)}
        label={what === 'race' ? 'race, 6 o’clock' : 'the other split'}
        value={say(v.raceMm.b)}
      />
      {ring && (
        <>
          <Mark
            {...joint(off, 103)}
            toX={CX + 168}
            toY={CY - 26}
            tone={place === 'ring/a' || place === 'ring2/a' ? 'brass' : 'ink'}
            label="rings 1, 2"
            value={both('a')}
          />
          <Mark
            {...joint(off + 180, 103)}
            toX={CX - 168}
            toY={CY - 26}
            tone={place === 'ring/b' || place === 'ring2/b' ? 'brass' : 'ink'}
            label="rings 1, 2"
            value={both('b')}
            left
          />
          <Label x={CX - 176} y={H - 34} anchor="end" tone={place === 'offset' ? 'brass' : 'muted'}>
            rings {v.offsetDeg === null ? `to stand ${v.offsetWantedDeg}°` : `stand ${v.offsetDeg}°`} off the
            race
          </Label>
        </>
      )}
      <Label x={4} y={H - 6} anchor="start" tone="muted" size={14.5}>
        end view, rings to scale, gaps ×{GAP_TIMES}
      </Label>
    </svg>
  );
}

/** A leader from a joint to its number. */
function Mark(p: {
  x: number;
  y: number;
  toX: number;
  toY: number;
  tone: 'ink' | 'brass';
  label: string;
  value: string;
  left?: boolean;
}) {
  const anchor = p.left ? 'end' : 'start';
  const pad = p.left ? -8 : 8;
  return (
    <g>
      <path d={`M${p.x} ${p.y}L${p.toX} ${p.toY}`} stroke={`var(--${p.tone})`} strokeWidth="1.2" />
      <Figure
        x={p.toX + pad}
        y={p.toY + 2}
        anchor={anchor}
        tone={p.tone}
        size={20}
        strong={p.tone === 'brass'}
      >
        {p.value}
      </Figure>
      <Label x={p.toX + pad} y={p.toY + 19} anchor={anchor} tone="muted">
        {p.label}
      </Label>
    </g>
  );
}

/** Inner race with its rollers in the outer race, seen from the side: between ribs, or off the middle of a plain race. */
export function AxialFigure({ values: v, place }: { values: AxialPlaceValues; place: string | undefined }) {
  const { unit } = useSettings();
  const say = (mm: number | null) => (mm === null ? '–' : lengthDigits(mm, unit, 2));
  const fixed = v.role === 'fixed';
  const sum = (v.towardsMm ?? 1) + (v.awayMm ?? 1) || 1;
  // The rollers are drawn where they stand between the two sides, not to the scale of the gaps.
  const share = ((v.towardsMm ?? sum / 2) / sum) * 120;
  const [left, right] = [190, 490];
  const x = left + 36 + share;
  const rollers = 108;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full"
      role="img"
      aria-label={`Race along the shaft: ${say(v.towardsMm)} on one side, ${say(v.awayMm)} on the other`}
    >
      <g stroke="var(--ink)" strokeWidth="1.8">
        <rect x="40" y="196" width="600" height="40" fill="var(--shade)" />
        <rect x={x - 40} y="166" width={rollers + 80} height="30" fill="var(--paper)" />
        {[0, 1].map((i) => (
          <rect key={i} x={x - 66 + i * (rollers + 106)} y="150" width="26" height="46" fill="var(--shade)" />
        ))}
        <path
          d={
            fixed
              ? `M${left} 60H${right}V112H${right - 24}V92H${left + 24}V112H${left}z`
              : `M${left} 60H${right}V92H${left}z`
          }
          fill="var(--shade)"
        />
        <rect x={x} y="94" width={rollers} height="70" rx="8" fill="var(--paper)" />
      </g>
      <Axis x1={(left + right) / 2} x2={(left + right) / 2} y1={40} y2={242} />
      <Dimension
        x1={fixed ? left + 24 : left}
        y1={130}
        x2={x}
        y2={130}
        tone={place === 'side/towards' ? 'brass' : 'ink'}
      >
        {say(v.towardsMm)}
      </Dimension>
      <Dimension
        x1={x + rollers}
        y1={130}
        x2={fixed ? right - 24 : right}
        y2={130}
        tone={place === 'side/away' ? 'brass' : 'ink'}
      >
        {say(v.awayMm)}
      </Dimension>
      {!fixed && (
        <Label x={60} y={40} anchor="start" tone="muted">
          ← fixed bearing
        </Label>
      )}
      {v.growthMm !== null && (
        <g stroke="var(--steel)" fill="var(--steel)">
          <path d="M470 216h110" strokeWidth="3" />
          <path d="M592 216l-14 -6v12z" stroke="none" />
          <Label x={530} y={206} tone="steel">
            shaft grows {lengthDigits(Math.abs(v.growthMm), unit, 2)}
          </Label>
        </g>
      )}
      <Label x={4} y={H - 6} anchor="start" tone="muted" size={14.5}>
        side view; the gaps in proportion to each other
      </Label>
    </svg>
  );
}

/** The ring in its seat: room towards and away from the fixed bearing, and which way the shaft grows. */
export function FloatFigure({
  values: v,
  place,
  spanMm,
}: {
  values: FloatRoomValues;
  place: string | undefined;
  spanMm: number;
}) {
  const { unit } = useSettings();
  const say = (mm: number | null) => (mm === null ? '–' : lengthDigits(mm, unit, 2));
  const whole = (v.towardsMm ?? 2) + (v.awayMm ?? 2) || 1;
  const room = 150;
  const [left, ringW] = [250, 170];
  const x = left + (room * (v.towardsMm ?? whole / 2)) / whole;
  const right = left + room + ringW;
  const away = (v.float?.growthMm ?? 1) >= 0;
  const needed = v.float ? Math.min(room, (room * v.float.neededMm) / whole) : 0;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full"
      role="img"
      aria-label={`Ring in its seat: ${say(v.towardsMm)} towards the fixed bearing, ${say(v.awayMm)} away from it`}
    >
      <g stroke="var(--ink)" strokeWidth="1.8">
        <path
          d={`M${left - 60} 40H${right + 60}V112H${right}V74H${left}V112H${left - 60}z`}
          fill="var(--shade)"
        />
        <rect x={x} y="76" width={ringW} height="52" fill="var(--paper)" />
        {[0.28, 0.72].map((s) => (
          <rect key={s} x={x + ringW * s - 20} y="130" width="40" height="40" rx="7" fill="var(--paper)" />
        ))}
        <rect x={x} y="170" width={ringW} height="26" fill="var(--paper)" />
        <rect x="20" y="196" width="640" height="36" fill="var(--shade)" />
        <rect x="52" y="120" width="56" height="76" fill="var(--shade)" />
      </g>
      {v.float && (
        <rect
          x={away ? x + ringW : x - needed}
          y="76"
          width={needed}
          height="34"
          fill={v.float.sideMm >= v.float.neededMm ? 'var(--good)' : 'var(--stop)'}
          opacity="0.25"
        />
      )}
      <Label x={80} y={112}>
        fixed
      </Label>
      <Dimension x1={80} y1={243} x2={x + ringW / 2} y2={243} tone="muted" side={16}>
        {lengthDigits(spanMm, unit, 0)}
      </Dimension>
      <Dimension x1={left} y1={60} x2={x} y2={60} tone={place === 'room/towards' ? 'brass' : 'ink'}>
        {say(v.towardsMm)}
      </Dimension>
      <Dimension x1={x + ringW} y1={60} x2={right} y2={60} tone={place === 'room/away' ? 'brass' : 'ink'}>
        {say(v.awayMm)}
      </Dimension>
      {v.float && (
        <g stroke="var(--steel)" fill="var(--steel)">
          <path d={away ? 'M560 214h70' : 'M630 214h-70'} strokeWidth="3" />
          <path d={away ? 'M644 214l-14 -6v12z' : 'M546 214l14 -6v12z'} stroke="none" />
          <Label x={600} y={190} tone="steel">
            grows {lengthDigits(Math.abs(v.float.growthMm), unit, 2)}
          </Label>
        </g>
      )}
      <Label x={660} y={H - 6} anchor="end" tone="muted" size={14.5}>
        gaps in proportion; shaded: growth and margin
      </Label>
    </svg>
  );
}
