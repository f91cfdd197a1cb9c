import type { TaperRatio } from './clearance-table.ts';

export type Vec = { x: number; y: number };

/** Outlines of the upper half of the section in mm: x along the shaft, y up from its centre line. */
export type BearingSection = {
  shaft: Vec[];
  sleeve: Vec[];
  innerRing: Vec[];
  outerRing: Vec[];
  rollers: [Vec[], Vec[]];
  washer: Vec[];
  nut: Vec[];
  /** Feeler gaps over rows A and B: where the blade goes, from the roller's crown up to the raceway. */
  gaps: Array<{ row: 'A' | 'B'; from: Vec; to: Vec }>;
  left: number;
  right: number;
  top: number;
};

/** Gaps are drawn this many times their size, and the drawing says so. */
export const GAP_SCALE = 50;

const circleTop = (cx: number, cy: number, r: number, x0: number, x1: number, n: number): Vec[] =>
  Array.from({ length: n + 1 }, (_, i) => {
    const x = x0 + ((x1 - x0) * i) / n;
    return { x, y: cy + Math.sqrt(Math.max(0, r * r - (x - cx) ** 2)) };
  });

/**
 * To-scale section of a spherical roller bearing on its adapter sleeve, proportioned from the bore as a medium series
 * (outside 1.8 × bore, width 0.56 × bore); a drawing of the kind, not of one maker's part. `travelMm` moves the ring up
 * its taper in true scale; `clearanceMm` opens the feeler gap at ×50.
 */
export function bearingSection(d: {
  shaftMm: number;
  boreMm: number;
  taper: TaperRatio;
  travelMm: number;
  clearanceMm: number;
}): BearingSection {
  const rs = d.shaftMm / 2;
  const bore = d.boreMm / 2;
  const width = d.boreMm * 0.56;
  const outside = d.boreMm * 0.9;
  const half = width / 2;
  const slope = 1 / (2 * d.taper);
  const x = -d.travelMm;
  const gap = d.clearanceMm * GAP_SCALE;
  // Taper outside of the sleeve falls towards the nut, at +x; driving up moves the ring to −x.
  const sleeveY = (at: number) => bore + (at + half) * -slope + width * slope * 0.5;
  const sl0 = -half - d.boreMm * 0.12;
  const sl1 = half + d.boreMm * 0.36;
  const innerTop = bore + (outside - bore) * 0.36;
  const sphere = outside - (outside - bore) * 0.2;
  const rollerD = (sphere - innerTop) * 0.86;
  const tilt = 0.17;
  const roller = (side: -1 | 1): Vec[] => {
    const cx = x + side * half * 0.46;
    const cy = innerTop + rollerD * 0.46;
    const w = half * 0.33;
    const h = rollerD / 2;
    const crown = h * 0.1;
    const raw: Vec[] = [
      { x: -w, y: -h + crown },
      { x: 0, y: -h },
      { x: w, y: -h + crown },
      { x: w, y: h - crown },
      { x: 0, y: h },
      { x: -w, y: h - crown },
    ];
    const a = -side * tilt;
    return raw.map((p) => ({
      x: cx + p.x * Math.cos(a) - p.y * Math.sin(a),
      y: cy + p.x * Math.sin(a) + p.y * Math.cos(a),
    }));
  };
  const rollers: [Vec[], Vec[]] = [roller(-1), roller(1)];
  const crownOf = (r: Vec[]) => r.reduce((a, b) => (b.y > a.y ? b : a));
  const tops = rollers.map(crownOf) as [Vec, Vec];
  const raceY = Math.max(tops[0].y, tops[1].y) + gap;
  const race = circleTop(
    x,
    raceY - (sphere + half * 0.06),
    sphere + half * 0.06 + half * half * 0.0008,
    x + half,
    x - half,
    16,
  );
  const raceTopY = Math.max(...race.map((p) => p.y));
  const outerTop = Math.max(outside, raceTopY + d.boreMm * 0.07);
  const nutX0 = half + d.boreMm * 0.07;
  return {
    shaft: [
      { x: sl0 - d.boreMm * 0.45, y: 0 },
      { x: sl0 - d.boreMm * 0.45, y: rs },
      { x: sl1 + d.boreMm * 0.42, y: rs },
      { x: sl1 + d.boreMm * 0.42, y: 0 },
    ],
    sleeve: [
      { x: sl0, y: rs },
      { x: sl0, y: sleeveY(sl0) },
      { x: half + d.boreMm * 0.05, y: sleeveY(half + d.boreMm * 0.05) },
      { x: sl1, y: sleeveY(half + d.boreMm * 0.05) },
      { x: sl1, y: rs },
    ],
    innerRing: [
      { x: x - half, y: sleeveY(x - half) },
      { x: x - half, y: innerTop - half * 0.02 },
      { x: x - half * 0.9, y: innerTop + half * 0.06 },
      { x: x - half * 0.78, y: innerTop },
      { x: x - half * 0.12, y: innerTop + half * 0.1 },
      { x: x + half * 0.12, y: innerTop + half * 0.1 },
      { x: x + half * 0.78, y: innerTop },
      { x: x + half * 0.9, y: innerTop + half * 0.06 },
      { x: x + half, y: innerTop - half * 0.02 },
      { x: x + half, y: sleeveY(x + half) },
    ],
    outerRing: [{ x: x - half, y: outerTop }, { x: x + half, y: outerTop }, ...race],
    rollers,
    washer: [
      { x: half + d.boreMm * 0.03, y: sleeveY(half) },
      { x: half + d.boreMm * 0.03, y: bore + d.boreMm * 0.12 },
      { x: nutX0, y: bore + d.boreMm * 0.12 },
      { x: nutX0, y: sleeveY(half) },
    ],
    nut: [
      { x: nutX0, y: sleeveY(half + d.boreMm * 0.05) },
      { x: nutX0, y: bore + d.boreMm * 0.17 },
      { x: nutX0 + d.boreMm * 0.16, y: bore + d.boreMm * 0.17 },
      { x: nutX0 + d.boreMm * 0.16, y: sleeveY(half + d.boreMm * 0.05) },
    ],
    gaps: tops.map((t, i) => ({
      row: i === 0 ? ('A' as const) : ('B' as const),
      from: t,
      to: { x: t.x, y: t.y + gap },
    })),
    left: sl0 - d.boreMm * 0.45,
    right: sl1 + d.boreMm * 0.42,
    top: outerTop,
  };
}
