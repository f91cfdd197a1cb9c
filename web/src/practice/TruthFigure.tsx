import type { Text } from '@fulcrant/core/messages';
import type { Beside } from '@fulcrant/practice';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

const WIDE = 720;
const HIGH = 150;
const EDGE = 14;

/** One step’s readings in their order: the truth as a bar as high as its gauge lets it be known, what was written as a dot upon it. */
function Strip({ of, title }: { of: readonly Beside[]; title: Text }) {
  const say = useSay();
  const low = Math.min(...of.map((b) => Math.min(b.truth - b.within, b.value)));
  const high = Math.max(...of.map((b) => Math.max(b.truth + b.within, b.value)));
  const y = (v: number) => HIGH - EDGE - ((v - low) / (high - low || 1)) * (HIGH - 2 * EDGE);
  const x = (i: number) => 70 + ((i + 0.5) * (WIDE - 90)) / of.length;
  const off = of.filter((b) => b.share < 1).length;
  const said = say(
    M.readingsAsGoodAsTheir({ title, count: of.length, off: off === 0 ? M.all2 : of.length - off }),
  );
  return (
    <figure className="m-0 border-b border-faint py-2">
      <figcaption className="flex justify-between gap-4">
        <span className="font-label text-lg">
          <Words of={title} />
        </span>
        <span className="text-muted">
          {off === 0 ? say(M.allAsGoodAsTheir) : say(M.off2({ off, count: of.length }))}
        </span>
      </figcaption>
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="block w-full" role="img" aria-label={said}>
        <path d={`M64 ${EDGE}V${HIGH - EDGE}`} stroke="var(--rule)" />
        {[high, low].map((v, i) => (
          <text
            key={i === 0 ? 'high' : 'low'}
            x="58"
            y={y(v) + 5}
            textAnchor="end"
            fontSize="14"
            fill="var(--muted)"
            fontFamily="var(--font-figure)"
          >
            {v.toFixed(3)}
          </text>
        ))}
        {of.map((b, i) => (
          <g key={`${b.place} ${i.toString()}`}>
            <rect
              x={x(i) - 9}
              y={y(b.truth + b.within)}
              width="18"
              height={Math.max(2, y(b.truth - b.within) - y(b.truth + b.within))}
              fill="var(--shade)"
              stroke="var(--steel)"
              strokeWidth="1"
            />
            <path d={`M${x(i) - 9} ${y(b.truth)}h18`} stroke="var(--steel)" strokeWidth="1.6" />
            <circle cx={x(i)} cy={y(b.value)} r="5" fill={b.share < 1 ? 'var(--stop)' : 'var(--ink)'} />
          </g>
        ))}
      </svg>
    </figure>
  );
}

/** Every reading over the truth of its place, step by step. */
export function TruthFigure({ beside, title }: { beside: readonly Beside[]; title: (step: string) => Text }) {
  const say = useSay();
  const steps = [...new Set(beside.map((b) => b.step))];
  return (
    <>
      <p className="m-0 pt-1 text-sm text-muted">{say(M.barTruthAsNearAs)}</p>
      <div className="grid gap-x-10 lg:grid-cols-2">
        {steps.map((s) => (
          <Strip key={s} of={beside.filter((b) => b.step === s)} title={title(s)} />
        ))}
      </div>
    </>
  );
}
