import { lengthDigits } from '@fulcrant/core/units';
import { useSettings } from '../ui/settings.tsx';
import { Figure, Label } from './drawing.tsx';

type Pile = ReadonlyArray<{ thicknessMm: number; count: number }>;

/** A pile of shims or gaskets from the side, each as thick as it is, all enlarged alike and said so. */
export function PileFigure({
  pile,
  title,
  tone = 'ink',
}: {
  pile: Pile;
  title: string;
  tone?: 'ink' | 'brass' | 'stop';
}) {
  const { unit } = useSettings();
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
  return (
    <svg
      viewBox="0 0 240 190"
      className="block max-h-56 w-full"
      role="img"
      aria-label={`${title}: ${pile.map((p) => `${p.count} of ${lengthDigits(p.thicknessMm, unit)}`).join(', ')}`}
    >
      <line x1="30" x2="210" y1="150.5" y2="150.5" stroke="var(--ink)" strokeWidth="1.5" />
      {sheets.map((s) => (
        <rect
          key={s.key}
          x="60"
          width="120"
          y={s.y}
          height={s.height}
          fill={s.kind % 2 === 0 ? 'var(--shade)' : 'var(--paper)'}
          stroke={`var(--${tone})`}
          strokeWidth="1"
        />
      ))}
      <Figure x={120} y={Math.max(14, y - 6)} tone={tone} strong>
        {lengthDigits(sum, unit)}
      </Figure>
      <Label x={120} y={168} tone={tone} size={16} strong>
        {title}
      </Label>
      <Label x={120} y={186} tone="muted">
        thickness ×{times}
      </Label>
    </svg>
  );
}
