import { lcm, type SleeveSetup } from '@fulcrant/core';

const C = 150;

const spot = (deg: number, r: number) => ({
  x: C + r * Math.sin((deg * Math.PI) / 180),
  y: C - r * Math.cos((deg * Math.PI) / 180),
});

function sector(deg: number, width: number, r0: number, r1: number): string {
  const a = spot(deg - width / 2, r0);
  const b = spot(deg - width / 2, r1);
  const c = spot(deg + width / 2, r1);
  const d = spot(deg + width / 2, r0);
  return `M${a.x} ${a.y}L${b.x} ${b.y}L${c.x} ${c.y}L${d.x} ${d.y}Z`;
}

/**
 * The nut's face with its slots over the washer's tabs; the tab at the top is the one that meets next. `forwardDeg` is
 * how far the nut still goes; null where it is not measured.
 */
export function NutFigure({
  setup,
  forwardDeg,
  turnedDeg,
}: {
  setup: SleeveSetup;
  forwardDeg: number | null;
  turnedDeg: number | null;
}) {
  const left = forwardDeg === null ? null : Math.max(0, forwardDeg - (turnedDeg ?? 0));
  const spacing = 360 / lcm(setup.nutSlots, setup.washerTabs);
  const slots = Array.from(
    { length: setup.nutSlots },
    (_, i) => (360 * i) / setup.nutSlots - (left ?? spacing / 2),
  );
  const tabs = Array.from({ length: setup.washerTabs }, (_, i) => (360 * i) / setup.washerTabs);
  const meets = left !== null && left < 0.05;
  const from = spot(-(left ?? 0), 128);
  const to = spot(0, 128);
  return (
    <svg
      viewBox="0 0 300 322"
      className="block w-full max-w-[21rem]"
      role="img"
      aria-label={
        left === null
          ? 'Nut and washer; the gap to the next tab is not measured'
          : `Nut and washer; ${left.toFixed(1)} degrees forward to the next tab`
      }
    >
      {tabs.map((t, i) => (
        <path
          key={t}
          d={sector(t, Math.min(9, 220 / setup.washerTabs), 88, 122)}
          fill={i === 0 ? 'var(--brass)' : 'var(--paper)'}
          stroke={i === 0 ? 'var(--brass)' : 'var(--muted)'}
        />
      ))}
      <circle cx={C} cy={C} r="98" fill="var(--paper)" stroke="var(--ink)" strokeWidth="2" />
      {slots.map((s, i) => (
        <path
          key={`${s}`}
          d={sector(s, 11, 78, 99)}
          fill={i === 0 ? 'var(--shade)' : 'var(--paper)'}
          stroke="var(--ink)"
          strokeWidth={i === 0 ? 2.5 : 1.5}
        />
      ))}
      <circle cx={C} cy={C} r="58" fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.6" />
      <circle cx={C} cy={C} r="46" fill="var(--paper)" stroke="var(--muted)" strokeDasharray="14 4 3 4" />
      {left !== null && !meets && (
        <path
          d={`M${from.x} ${from.y}A128 128 0 0 1 ${to.x} ${to.y}`}
          fill="none"
          stroke="var(--steel)"
          strokeWidth="3"
        />
      )}
      <path d={`M${C} 8l8 -8h-16z`} fill="var(--brass)" transform="translate(0 8)" />
      <text
        x={C}
        y={C - 2}
        textAnchor="middle"
        className="figures"
        fontSize="26"
        fontWeight="600"
        fill="var(--steel)"
      >
        {left === null ? '?' : `${left.toFixed(1)}°`}
      </text>
      <text
        x={C}
        y={C + 20}
        textAnchor="middle"
        fontFamily="var(--font-label)"
        fontSize="16"
        fill="var(--muted)"
      >
        {meets ? 'tab meets slot' : 'forward'}
      </text>
      <text
        x={C}
        y="312"
        textAnchor="middle"
        fontFamily="var(--font-label)"
        fontSize="15"
        fill="var(--muted)"
      >
        {setup.nutSlots} slots, {setup.washerTabs} tabs: one meets every {spacing.toFixed(1)}°
      </text>
    </svg>
  );
}
