import type { Beam as BeamData } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, textKey } from '@fulcrant/core/messages';
import {
  formatForce,
  formatRoughness,
  formatTorque,
  type LengthUnit,
  lengthDigits,
} from '@fulcrant/core/units';
import { Popover } from 'radix-ui';
import { M } from './messages.ts';
import { useSay, useSettings, Words } from './settings.tsx';

const W = 440;
const GROUND = 136;
const PIVOT = 76;
const STOP_TOP = 112;
const REACH = 118;
const ARM = 176;

/** Where a number stands along the beam: 0 at the target, ±1 at the stops. */
function along(b: BeamData, value: number): number {
  const half = (limit: number | undefined, other: number | undefined) =>
    Math.abs((limit ?? 2 * b.target - (other ?? 2 * b.target)) - b.target) || 1e-9;
  const side = value >= b.target ? half(b.upper, b.lower) : half(b.lower, b.upper);
  return (value - b.target) / side;
}

/** The value itself goes a little beyond its stop when out, not off the drawing. */
const place = (b: BeamData): number => Math.max(-1.32, Math.min(1.32, along(b, b.value)));

/** A number in the beam's own unit. */
function sayAs(quantity: BeamData['quantity'], v: number, unit: LengthUnit): string {
  switch (quantity) {
    case 'torque':
      return formatTorque(v, unit);
    case 'force':
      return formatForce(v, unit);
    case 'angle':
      return `${Number(v.toFixed(3))}°`;
    case 'roughness':
      return formatRoughness(v, unit);
    case 'length':
      return lengthDigits(v, unit);
  }
}

/**
 * The beam on its fulcrum: level at the target, lying on a stop at the limit, hard down beyond it. The wedge riding on it
 * is as wide as the uncertainty. `hollow` is a value not stored yet.
 */
export function Beam({
  beam,
  hollow = false,
  small = false,
}: {
  beam: BeamData;
  hollow?: boolean;
  small?: boolean;
}) {
  const tell = useSay();
  const { unit } = useSettings();
  const say = (v: number) => sayAs(beam.quantity, v, unit);
  const at = place(beam);
  const caught = Math.max(-1, Math.min(1, at));
  const slope = ((STOP_TOP - PIVOT) / REACH) * caught;
  const degrees = (Math.atan(slope) * 180) / Math.PI;
  const half = ((beam.upper ?? beam.target) - (beam.lower ?? beam.target)) / 2 || 1;
  const width = Math.max(5, Math.min(REACH * 1.2, (beam.expanded / half) * REACH));
  const out = beam.verdict === 'reject';
  const x = W / 2 + at * REACH;
  const words = {
    accept: tell(M.betweenStops),
    reject: tell(M.pastStop),
    'too-close': tell(COMMON.tooCloseCall),
    caution: tell(M.cautionWord),
    incomplete: tell(M.shortLowStop),
  }[beam.verdict];
  return (
    <figure className="m-0" data-beam={beam.verdict}>
      <svg
        viewBox={`0 0 ${W} ${small ? 142 : beam.alternatives?.length ? 190 : 164}`}
        className="block w-full max-w-[30rem]"
        role="img"
        aria-label={tell(
          M.lowStopTargetHighStop({
            label: beam.label,
            value: say(beam.value),
            words,
            lower: beam.lower === undefined ? COMMON.noneWord : say(beam.lower),
            target: say(beam.target),
            upper: beam.upper === undefined ? COMMON.noneWord : say(beam.upper),
          }),
        )}
      >
        <line x1="14" x2={W - 14} y1={GROUND} y2={GROUND} stroke="var(--faint)" strokeWidth="1.5" />
        {!small && <Alternatives beam={beam} say={say} />}
        {beam.lower !== undefined && <Stop x={W / 2 - REACH} hit={out && at < 0} />}
        {beam.upper !== undefined && <Stop x={W / 2 + REACH} hit={out && at > 0} />}
        <path d={`M${W / 2} ${PIVOT + 4} l24 ${GROUND - PIVOT - 4} h-48 z`} fill="var(--brass)" />
        <g
          className="beam-arm"
          style={{ transform: `rotate(${degrees}deg)`, transformOrigin: `${W / 2}px ${PIVOT}px` }}
        >
          <rect
            x={W / 2 - ARM}
            y={PIVOT - 5}
            width={2 * ARM}
            height="9"
            rx="4.5"
            fill={out ? 'var(--stop)' : 'var(--ink)'}
          />
          <rect
            x={x - width / 2}
            y={PIVOT - 12}
            width={width}
            height="7"
            fill="var(--steel)"
            opacity="0.35"
          />
          <path
            d={`M${x} ${PIVOT - 6} l9 -17 h-18 z`}
            fill={hollow ? 'var(--paper)' : 'var(--steel)'}
            stroke="var(--steel)"
            strokeWidth="2"
          />
        </g>
        <text
          x={Math.max(46, Math.min(W - 46, x))}
          y="26"
          textAnchor="middle"
          className="figures"
          fontSize="25"
          fontWeight="600"
          fill="var(--steel)"
        >
          {say(beam.value)}
        </text>
        {!small && (
          <g className="figures" fontSize="16.5" textAnchor="middle">
            {beam.lower !== undefined && (
              <text x={W / 2 - REACH} y={GROUND + 21} fill="var(--muted)">
                {say(beam.lower)}
              </text>
            )}
            <text x={W / 2} y={GROUND + 21} fill="var(--brass)">
              {beam.target === 0 && beam.lower === undefined ? '0' : say(beam.target)}
            </text>
            {beam.upper !== undefined && (
              <text x={W / 2 + REACH} y={GROUND + 21} fill="var(--muted)">
                {say(beam.upper)}
              </text>
            )}
          </g>
        )}
      </svg>
      {!small && beam.doubt && beam.doubt.length > 0 && <Doubt lines={beam.doubt} />}
      {!small && (
        <figcaption className="kicker mt-0.5 max-w-[30rem] text-center">
          <Words of={beam.label} /> {beam.quantity === 'length' ? unit : ''} ·{' '}
          <span className="normal-case tracking-normal">{words}</span>
        </figcaption>
      )}
    </figure>
  );
}

/** The thickness of the pointer in words, at a touch: where it comes from, what would take it away. */
function Doubt({ lines }: { lines: readonly Text[] }) {
  const say = useSay();
  return (
    <Popover.Root>
      <Popover.Trigger
        className="mx-auto flex min-h-12 max-w-[30rem] items-center gap-2 text-[0.95rem] text-steel underline decoration-dotted underline-offset-4"
        data-doubt
      >
        <svg width="26" height="12" viewBox="0 0 26 12" aria-hidden="true">
          <rect x="2" y="5" width="22" height="6" fill="var(--steel)" opacity="0.35" />
          <path d="M13 11l5 -9h-10z" fill="var(--steel)" />
        </svg>
        {say(lines[0] ?? '')}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={12}
          className="z-50 max-w-96 border-2 border-rule bg-paper px-4 py-3 leading-snug text-ink"
          aria-label={say(M.whereDoubtComesFrom)}
        >
          <p className="kicker m-0 mb-1">{say(M.pointerAsThickAsDoubt)}</p>
          {lines.map((line) => (
            <p key={textKey(line)} className="m-0 mt-1">
              {say(line)}
            </p>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** Where the other schools would have set the stop: thin posts without a head, each with its number under the ground. */
function Alternatives({ beam, say }: { beam: BeamData; say: (v: number) => string }) {
  const others = (beam.alternatives ?? [])
    .filter((a) => Math.abs(a.at - (beam.upper ?? Number.NaN)) > 1e-6)
    .map((a) => ({ ...a, along: along(beam, a.at) }))
    .sort((a, b) => a.along - b.along);
  return (
    <g>
      {others.map((a, i) => {
        const off = a.along > 1.6;
        const x = W / 2 + Math.min(1.6, a.along) * REACH;
        const before = others[i - 1];
        const crowded =
          before !== undefined && (Math.min(1.6, a.along) - Math.min(1.6, before.along)) * REACH < 52;
        return (
          <g key={textKey(a.label)}>
            <title>
              <Words of={a.label} />: {say(a.at)}
            </title>
            <line
              x1={x}
              x2={x}
              y1={GROUND}
              y2={STOP_TOP + 14}
              stroke="var(--muted)"
              strokeWidth="2"
              strokeDasharray="3 2"
            />
            <text
              x={off ? W - 4 : x}
              y={GROUND + (crowded && i % 2 === 1 ? 50 : 37)}
              textAnchor={off ? 'end' : 'middle'}
              className="figures"
              fontSize="13.5"
              fill="var(--muted)"
            >
              {off ? `${say(a.at)} →` : say(a.at)}
            </text>
          </g>
        );
      })}
    </g>
  );
}

function Stop({ x, hit }: { x: number; hit: boolean }) {
  const ink = hit ? 'var(--stop)' : 'var(--ink)';
  return (
    <g stroke={ink} strokeWidth={hit ? 6 : 4} strokeLinecap="round">
      <line x1={x} x2={x} y1={GROUND} y2={STOP_TOP + 8} />
      <line x1={x - 13} x2={x + 13} y1={STOP_TOP + 8} y2={STOP_TOP + 8} />
    </g>
  );
}
