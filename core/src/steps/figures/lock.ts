import { type Alignment, type Pattern, patternAngles } from '../../arithmetic/bearings/lock-alignment.ts';
import { circle, digits, figure, label, path, spot } from '../../judgement/draw.ts';
import { expr } from '../../message/message.ts';
import { M } from './messages.ts';

const C = 150;

function sector(deg: number, width: number, r0: number, r1: number): string {
  const at = (d: number, r: number) => {
    const p = spot(C, C, d, r);
    return `${p.x.toFixed(2)} ${p.y.toFixed(2)}`;
  };
  const [a, b] = [deg - width / 2, deg + width / 2];
  return `M${at(a, r0)}L${at(a, r1)}L${at(b, r1)}L${at(b, r0)}Z`;
}

type Props = {
  /** The nut's slots or holes, and what locks it. */
  nut: Pattern;
  washer: Pattern;
  /** Where they meet next; null where that is not measured. */
  meets: Pick<Alignment, 'forwardDeg' | 'slot' | 'tab'> | null;
  /** How far the nut has gone of it already. */
  turnedDeg?: number | null;
  way?: 'forward' | 'back';
};

/**
 * A nut's face with its slots over the tabs (or holes) that lock it, even or not; the tab at the top is the one that meets next,
 * slot and tab named by their numbers.
 */
export function lockFigure({ nut, washer, meets, turnedDeg = null, way = 'forward' }: Props) {
  const [slots, tabs] = [patternAngles(nut), patternAngles(washer)];
  const left = meets === null ? null : Math.max(0, meets.forwardDeg - (turnedDeg ?? 0));
  const behind = (left ?? 180 / Math.max(1, tabs.length)) * (way === 'forward' ? 1 : -1);
  const slot0 = slots[(meets?.slot ?? 1) - 1] ?? 0;
  const tab0 = tabs[(meets?.tab ?? 1) - 1] ?? 0;
  const done = left !== null && left < 0.05;
  const [from, to] = [spot(C, C, -behind, 128), spot(C, C, 0, 128)];
  const said = (p: Pattern, of: 'slots' | 'tabs') =>
    'count' in p ? M.counted({ count: p.count, of }) : M.uneven({ count: p.anglesDeg.length, of });
  return figure(
    {
      width: 300,
      height: 340,
      tall: 23.8,
      title:
        left === null
          ? M.nutLockGapNextTab
          : M.nutLockSlotMeetsTab({ slot: meets?.slot, tab: meets?.tab, left: left.toFixed(1), way }),
      name: 'lock',
    },
    [
      tabs.map((t, i) => {
        const here = i === (meets?.tab ?? 1) - 1;
        return path({
          d: sector(t - tab0, Math.min(9, 220 / tabs.length), 88, 122),
          fill: here ? 'brass' : 'paper',
          ink: here ? 'brass' : 'muted',
        });
      }),
      circle({ cx: C, cy: C, r: 98, fill: 'paper', ink: 'ink', weight: 2 }),
      slots.map((s, i) => {
        const here = i === (meets?.slot ?? 1) - 1;
        const at = spot(C, C, s - slot0 - behind, 68);
        return [
          path({
            d: sector(s - slot0 - behind, Math.min(11, 200 / slots.length), 78, 99),
            fill: here ? 'shade' : 'paper',
            ink: 'ink',
            weight: here ? 2.5 : 1.5,
          }),
          slots.length <= 12 &&
            digits({ x: at.x, y: at.y + 5, size: 13, strong: here, tone: here ? 'ink' : 'muted' }, i + 1),
        ];
      }),
      circle({ cx: C, cy: C, r: 52, fill: 'shade', ink: 'ink', weight: 1.6 }),
      circle({ cx: C, cy: C, r: 42, fill: 'paper', ink: 'muted', dash: '14 4 3 4' }),
      left !== null &&
        !done &&
        path({
          d: `M${from.x} ${from.y}A128 128 0 ${left > 180 ? 1 : 0} ${way === 'forward' ? 1 : 0} ${to.x} ${to.y}`,
          fill: 'none',
          ink: 'steel',
          weight: 3,
        }),
      path({ d: `M${C} 16l8 -8h-16z`, fill: 'brass' }),
      digits(
        { x: C, y: C - 2, size: 24, strong: true, tone: 'steel' },
        left === null ? '?' : `${left.toFixed(1)}°`,
      ),
      label(
        { x: C, y: C + 18, size: 16, tone: 'muted' },
        done ? M.theyMeet : way === 'forward' ? M.forwardWord : M.backWord,
      ),
      label(
        { x: C, y: 312, size: 16 },
        meets ? M.slotTab({ slot: meets.slot, tab: meets.tab }) : M.whichMeetsNextNotMeasured,
      ),
      label({ x: C, y: 332, tone: 'muted' }, expr`${said(nut, 'slots')}, ${said(washer, 'tabs')}`),
    ],
  );
}
