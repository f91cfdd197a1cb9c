import { digits, figure, label, line, rect } from '../../judgement/draw.ts';
import type { Text } from '../../message/message.ts';
import { expr, listOf } from '../../message/message.ts';
import { num } from '../../quantities/say.ts';
import { M } from './messages.ts';

type Pile = ReadonlyArray<{ thicknessMm: number; count: number }>;

/** A pile of shims or gaskets from the side, each as thick as it is, all enlarged alike and said so. */
export function pileFigure({
  pile,
  title,
  tone = 'ink',
}: {
  pile: Pile;
  title: Text;
  tone?: 'ink' | 'brass' | 'stop';
}) {
  const sum = pile.reduce((s, p) => s + p.thicknessMm * p.count, 0);
  // A round scale: five sizes of drawing for what anybody stacks.
  const times = [100, 50, 20, 10, 5].find((t) => (sum * t * 3) / 4 <= 130) ?? 2;
  const points = (mm: number) => (mm * times * 3) / 4;
  let y = 150;
  const sheets = [...pile]
    .sort((a, b) => b.thicknessMm - a.thicknessMm)
    .flatMap((p, kind) =>
      Array.from({ length: p.count }, (_, n) => {
        const height = Math.max(1.2, points(p.thicknessMm));
        y -= height;
        return { key: `${kind}/${n}`, y, height, kind };
      }),
    );
  return figure(
    {
      width: 240,
      height: 190,
      tall: 14,
      title: expr`${title}: ${listOf(
        pile.map((p) => M.of2({ count: p.count, thickness: num(p.thicknessMm) })),
        ', ',
      )}`,
    },
    [
      line({ x1: 30, x2: 210, y1: 150.5, y2: 150.5, ink: 'ink', weight: 1.5 }),
      sheets.map((s) =>
        rect({
          x: 60,
          width: 120,
          y: s.y,
          height: s.height,
          fill: s.kind % 2 === 0 ? 'shade' : 'paper',
          ink: tone,
          weight: 1,
        }),
      ),
      digits({ x: 120, y: Math.max(14, y - 6), tone, strong: true }, num(sum)),
      label({ x: 120, y: 168, tone, size: 16, strong: true }, title),
      label({ x: 120, y: 186, tone: 'muted' }, M.thickness({ times })),
    ],
  );
}
