import { roundedDown } from '@fulcrant/core/calculators';
import type { BoxBoreStepValues, BoxFaceStepValues, EnvelopeStepValues } from '@fulcrant/core/steps';
import { lengthDigits } from '@fulcrant/core/units';
import { Axis, DialGauge, Dimension, Figure, Label } from '../../figures/drawing.tsx';
import { useSettings } from '../../ui/settings.tsx';
import { TurnView } from './TurnView.tsx';

const W = 700;
const H = 288;
const MID = 126;

/** The box in section, face to the right: shaft, box and the face's own line, tilted as it was found (enlarged). */
export function FaceFigure({
  values: v,
  before,
  shaftMm,
  active,
}: {
  values: BoxFaceStepValues;
  before: BoxFaceStepValues | null;
  shaftMm: number;
  active: number | null;
}) {
  const { unit } = useSettings();
  const outer = v.sweepRadiusMm * 1.25;
  const scale = 104 / outer;
  const [shaft, bore, sweep] = [(shaftMm / 2) * scale, (v.boxBoreMm / 2) * scale, v.sweepRadiusMm * scale];
  const face = 226;
  // The tilt seen square to its own direction: the nearest side on top.
  const off = v.tiltMmPer100 === null ? 0 : (v.tiltMmPer100 / 100) * v.sweepRadiusMm * scale;
  const times = off > 0 ? Math.min(2000, roundedDown(26 / off)) : 1;
  const lean = off * times;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full"
      role="img"
      aria-label={`Box face in section, and its sweep with ${v.readings.length} readings`}
    >
      {[1, -1].map((s) => (
        <path
          key={s}
          d={`M70 ${MID - s * bore}H${face}V${MID - s * outer * scale}H104V${MID - s * (outer * scale - 22)}H70Z`}
          fill="var(--shade)"
          stroke="var(--ink)"
          strokeWidth="1.6"
        />
      ))}
      <rect
        x="40"
        y={MID - shaft}
        width="330"
        height={2 * shaft}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
      <Axis x1={20} x2={392} y1={MID} y2={MID} />
      <line
        x1={face + lean}
        y1={MID - sweep}
        x2={face - lean}
        y2={MID + sweep}
        stroke="var(--steel)"
        strokeWidth="3"
      />
      <DialGauge x={face + lean} y={MID - sweep} deg={90} />
      <path
        d={`M${face + lean + 37} ${MID - sweep}h34V${MID - shaft}`}
        fill="none"
        stroke="var(--brass)"
        strokeWidth="3"
      />
      <Dimension x1={334} y1={MID} x2={334} y2={MID - sweep} tone="muted" side={6}>
        {lengthDigits(v.sweepRadiusMm, unit, 1)}
      </Dimension>
      <Label x={4} y={H - 22} anchor="start" tone="steel" size={14}>
        {v.tiltMmPer100 === null
          ? 'tilt not known yet'
          : `tilt ${lengthDigits(v.tiltMmPer100, unit, 4)} per 100, ×${times}; nearest at ${(v.tiltDeg ?? 0).toFixed(0)}°`}
        {v.warpMm !== null ? `; warp ${lengthDigits(v.warpMm, unit, 4)}` : ''}
      </Label>
      <Label x={4} y={H - 5} anchor="start" tone="muted" size={14}>
        section to scale, {unit}
      </Label>
      <TurnView
        cx={552}
        cy={MID}
        radiusPx={68}
        radiusMm={v.sweepRadiusMm}
        readings={v.readings}
        before={before?.readings ?? []}
        active={active}
        wanted={v.wanted}
        title="face"
        prefix="turn/"
        mark={
          v.tiltDeg === null || (v.tiltMmPer100 ?? 0) < 0.001
            ? null
            : { deg: v.tiltDeg, word: `near ${v.tiltDeg.toFixed(0)}°` }
        }
      />
    </svg>
  );
}

/** The bore from its mouth: shaft to scale inside it, moved off its middle by what was found (enlarged). */
export function BoreFigure({
  values: v,
  before,
  shaftMm,
  active,
}: {
  values: BoxBoreStepValues;
  before: BoxBoreStepValues | null;
  shaftMm: number;
  active: number | null;
}) {
  const { unit } = useSettings();
  const R = 92;
  const scale = R / (v.boxBoreMm / 2);
  const e = (v.eccentricityMm ?? 0) * scale;
  const times = e > 0 ? Math.min(1000, roundedDown(24 / e)) : 1;
  // The wall stands nearest where the reading is highest: the shaft stands off towards that side.
  const rad = ((v.nearestDeg ?? 0) * Math.PI) / 180;
  const [dx, dy] = [e * times * Math.sin(rad), -e * times * Math.cos(rad)];
  const cx = 190;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full"
      role="img"
      aria-label={`Box bore with the shaft in it, and its sweep with ${v.readings.length} readings`}
    >
      <circle cx={cx} cy={MID} r={R + 22} fill="var(--shade)" stroke="var(--muted)" />
      <circle cx={cx} cy={MID} r={R} fill="var(--paper)" stroke="var(--ink)" strokeWidth="2" />
      <Axis x1={cx - R - 34} x2={cx + R + 34} y1={MID} y2={MID} />
      <Axis x1={cx} x2={cx} y1={MID - R - 30} y2={MID + R + 30} />
      <circle
        cx={cx + dx}
        cy={MID + dy}
        r={(shaftMm / 2) * scale}
        fill="var(--shade)"
        stroke="var(--steel)"
        strokeWidth="2.5"
      />
      <path
        d={`M${cx + dx - 6} ${MID + dy}h12M${cx + dx} ${MID + dy - 6}v12`}
        stroke="var(--steel)"
        strokeWidth="2"
      />
      <Label x={4} y={H - 22} anchor="start" tone="steel" size={14}>
        {v.eccentricityMm === null
          ? 'eccentricity not known yet'
          : `shaft off the bore’s middle ${lengthDigits(v.eccentricityMm, unit, 4)}, ×${times}, towards ${(v.nearestDeg ?? 0).toFixed(0)}°`}
      </Label>
      <Label x={4} y={H - 5} anchor="start" tone="muted" size={14}>
        to scale, {unit}; bracket sag {v.sagMm === null ? 'not measured' : lengthDigits(v.sagMm, unit)}
      </Label>
      <TurnView
        cx={552}
        cy={MID}
        radiusPx={68}
        radiusMm={v.boxBoreMm / 2}
        readings={v.corrected}
        before={before?.corrected ?? (v.sagMm === null ? [] : v.readings)}
        beforeWord={before ? 'before' : 'as read, bracket sagging'}
        active={active}
        wanted={v.wanted}
        title={v.sagMm === null ? 'bore as read' : 'bore, sag taken out'}
        mark={
          v.nearestDeg === null || (v.eccentricityMm ?? 0) < 0.002
            ? null
            : { deg: v.nearestDeg, word: `near ${v.nearestDeg.toFixed(0)}°` }
        }
      />
    </svg>
  );
}

const PART: Record<string, string> = {
  bore: 'bore',
  depth: 'depth',
  obstruction: 'obstruction',
  studs: 'studs',
};

/** The box in section with the measured sizes on it, and what the seal's sheet asks for dashed in it. */
export function EnvelopeFigure({
  values: v,
  place,
}: {
  values: EnvelopeStepValues;
  place: string | undefined;
}) {
  const { unit } = useSettings();
  const known = (...s: Array<number | null>) => s.find((x) => x !== null) ?? null;
  const bore = known(v.boreMm, v.seal.boreUpperMm, v.seal.boreLowerMm) ?? v.shaftMm * 1.6;
  const depth = known(v.depthMm, v.seal.depthMm) ?? 60;
  const studs = known(v.studCircleMm, v.seal.studCircleMm) ?? bore * 1.5;
  const scale = Math.min(
    250 / (studs + 24),
    240 / Math.max(depth, v.obstructionMm ?? 0, v.seal.reachMm ?? 0),
  );
  const face = 400;
  const y = (mm: number) => MID + 12 - mm * scale;
  const x = (mm: number) => face - mm * scale;
  const say = (mm: number | null) => (mm === null ? '…' : lengthDigits(mm, unit, 2));
  const tone = (key: string) => (place === key ? 'brass' : 'ink');
  const outer = (studs / 2 + 14) * scale;
  const half = (bore / 2) * scale;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full"
      role="img"
      aria-label="Seal box in section with its measured sizes"
    >
      {[1, -1].map((s) => (
        <path
          key={s}
          d={`M${x(depth)} ${MID + 12 - s * half}H${face}V${MID + 12 - s * outer}H${face - 30}V${MID + 12 - s * (half + 26)}H${x(depth) - 26}V${MID + 12 - s * (v.shaftMm / 2) * scale - s * 6}H${x(depth)}Z`}
          fill="var(--shade)"
          stroke="var(--ink)"
          strokeWidth="1.6"
        />
      ))}
      <rect
        x="60"
        y={y(v.shaftMm / 2)}
        width="460"
        height={v.shaftMm * scale}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
      <Axis x1={40} x2={548} y1={MID + 12} y2={MID + 12} />
      {v.seal.depthMm !== null && v.seal.boreLowerMm !== null && (
        <rect
          x={x(v.seal.depthMm)}
          y={y(v.seal.boreLowerMm / 2)}
          width={v.seal.depthMm * scale}
          height={v.seal.boreLowerMm * scale}
          fill="none"
          stroke="var(--steel)"
          strokeWidth="2"
          strokeDasharray="7 4"
        />
      )}
      {[studs / 2, -studs / 2].map((mm) => (
        <line
          key={mm}
          x1={face - 34}
          x2={face + 40}
          y1={y(mm)}
          y2={y(mm)}
          stroke="var(--muted)"
          strokeWidth="6"
        />
      ))}
      <Dimension
        x1={face + 62}
        y1={y(bore / 2)}
        x2={face + 62}
        y2={y(-bore / 2)}
        tone={tone('bore')}
        side={7}
      >
        {say(v.boreMm)}
      </Dimension>
      <Dimension
        x1={face + 150}
        y1={y(studs / 2)}
        x2={face + 150}
        y2={y(-studs / 2)}
        tone={tone('studs')}
        side={7}
      >
        {say(v.studCircleMm)}
      </Dimension>
      <Dimension x1={x(depth)} y1={24} x2={face} y2={24} tone={tone('depth')}>
        {say(v.depthMm)}
      </Dimension>
      <Dimension
        x1={x(known(v.obstructionMm, v.seal.reachMm) ?? depth)}
        y1={H - 52}
        x2={face}
        y2={H - 52}
        tone={tone('obstruction')}
      >
        {say(v.obstructionMm)}
      </Dimension>
      {Object.keys(PART)
        .filter((k) => place === k)
        .map((k) => (
          <Label key={k} x={W - 6} y={22} anchor="end" tone="brass" strong>
            {PART[k]}
          </Label>
        ))}
      <Label x={4} y={H - 5} anchor="start" tone="muted" size={14}>
        section to scale, {unit}; dashed: what the seal’s sheet asks for; lower dimension: first obstruction
      </Label>
      <Figure x={W - 6} y={H - 5} anchor="end" tone="steel">
        {v.fits === null ? '' : v.fits ? 'takes the seal' : 'does not take it'}
      </Figure>
    </svg>
  );
}
