import { circle, digits, figure, label, line, mendable, path } from '../../../judgement/draw.ts';
import { num, UNIT } from '../../../quantities/say.ts';
import type { ShaftValues } from '../diameters.ts';
import { M } from '../messages.ts';
import { seatView } from './seat-view.ts';

const W = 700;
const H = 292;

/** How many times deviations are drawn larger: the largest round number that keeps them inside the drawing. */
function exaggeration(values: ShaftValues, nominalMm: number): number {
  const most = Math.max(
    0.005,
    ...values.matrix.flat().map((v) => (v === null ? 0 : Math.abs(v - nominalMm))),
  );
  const room = nominalMm * 0.14;
  return [1000, 500, 200, 100, 50, 20].find((n) => n * most <= room) ?? 10;
}

/**
 * The seat to scale from the side with its stations and numbers, and the station at hand from the end: its measured
 * radii drawn with deviations enlarged, against the limits.
 */
export function shaftFigure({
  values,
  nominalMm,
  active,
}: {
  values: ShaftValues;
  nominalMm: number;
  active: { station: number; angleDeg: number } | null;
}) {
  const seat = Math.max(...values.stationsMm) + Math.min(...values.stationsMm);
  const scale = Math.min(290 / seat, 140 / nominalMm);
  const x0 = 40 + (320 - seat * scale) / 2;
  const axis = 118;
  const r = (nominalMm * scale) / 2;
  const ovality = values.ovalityMm.map((o) => o ?? 0);
  const at = active?.station ?? ovality.indexOf(Math.max(...ovality));
  const row = values.matrix[at] ?? [];
  const many = exaggeration(values, nominalMm);
  const cx = 552;
  const cy = axis;
  const R = 74;
  const radius = (d: number) => R * (1 + (many * (d - nominalMm)) / nominalMm);
  const spot = (deg: number, rr: number) => ({
    x: cx + rr * Math.sin((deg * Math.PI) / 180),
    y: cy - rr * Math.cos((deg * Math.PI) / 180),
  });
  const shape = values.anglesDeg.flatMap((a, i) => {
    const d = row[i];
    return d === null || d === undefined
      ? []
      : [
          { a, r: radius(d) },
          { a: a + 180, r: radius(d) },
        ];
  });
  const outline = shape.sort((a, b) => a.a - b.a).map(({ a, r: rr }) => spot(a, rr));
  const inHand = (s: number, i: number) =>
    active !== null && active.station === s && values.anglesDeg[i] === active.angleDeg;
  return figure(
    {
      width: W,
      height: H,
      title: M.shaftSeatStationsStationSeen({ count: values.stationsMm.length, at: at + 1 }),
    },
    [
      seatView({
        x0,
        axisY: axis,
        r,
        scale,
        seatMm: seat,
        stationsMm: values.stationsMm,
        active: active?.station ?? null,
      }),
      [
        values.anglesDeg.map((a, i) => [
          digits({ x: 4, y: axis + r + 32 + i * 17, anchor: 'start', tone: 'muted' }, `${a}°`),
          values.stationsMm.map((mm, s) => {
            const v = values.matrix[s]?.[i] ?? null;
            const on = inHand(s, i);
            const spread =
              values.stationsMm.length > 3
                ? (300 / (values.stationsMm.length - 1)) * s + 62
                : x0 +
                  mm * scale +
                  (s - (values.stationsMm.length - 1) / 2) *
                    Math.max(0, 96 - (seat * scale) / Math.max(1, values.stationsMm.length - 1));
            return mendable(
              {
                place: v === null ? null : `s${s + 1}/${a}`,
                shown: v === null ? '' : num(v),
                name: M.station2({ s: s + 1, a }),
              },
              [
                digits(
                  {
                    x: spread,
                    y: axis + r + 32 + i * 17,
                    anchor: 'middle',
                    strong: on,
                    tone: on ? 'brass' : v === null ? 'faint' : 'ink',
                  },
                  v === null ? (on ? '…' : '·') : num(v),
                ),
              ],
            );
          }),
        ]),
      ],
      [
        circle({ cx, cy, r: Math.max(4, radius(values.upperMm)), fill: 'none', ink: 'muted', dash: '5 4' }),
        circle({ cx, cy, r: Math.max(4, radius(values.lowerMm)), fill: 'none', ink: 'muted', dash: '5 4' }),
        values.anglesDeg.map((a) => {
          const on = active?.angleDeg === a;
          const p = spot(a, R + 22);
          const q = spot(a + 180, R + 22);
          const word = spot(a, R + 36);
          return [
            line({ x1: p.x, y1: p.y, x2: q.x, y2: q.y, ink: on ? 'brass' : 'faint', weight: on ? 3 : 1.2 }),
            label(
              { x: word.x, y: word.y + 5, anchor: 'middle', size: 15, tone: on ? 'brass' : 'muted' },
              `${a}°`,
            ),
          ];
        }),
        outline.length > 2 &&
          path({
            d: `${outline.map((p, i) => `${i ? 'L' : 'M'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('')}Z`,
            fill: 'steel',
            fillOpacity: 0.12,
            ink: 'steel',
            weight: 2,
          }),
        outline.map((p) => circle({ cx: p.x, cy: p.y, r: 4, fill: 'steel' })),
        label(
          { x: cx, y: cy + R + 54, anchor: 'middle', size: 15, tone: 'ink' },
          M.stationFromEndDeviations({ at: at + 1, many }),
        ),
        label(
          { x: cx, y: cy + R + 71, anchor: 'middle', size: 14, tone: 'muted' },
          M.dashed({ lower: num(values.lowerMm), upper: num(values.upperMm), unit: UNIT }),
        ),
      ],
      label(
        { x: 4, y: H - 4, anchor: 'start', size: 14.5, tone: 'muted' },
        M.seatScaleDiameters({ unit: UNIT }),
      ),
    ],
  );
}
