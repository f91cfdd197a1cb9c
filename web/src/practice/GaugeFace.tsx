import type { Text } from '@fulcrant/core/messages';
import { COMMON, listOf, textKey } from '@fulcrant/core/messages';
import type { Face } from '@fulcrant/practice';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** A gauge as it stands in the hand: drawn, never told. */
export function GaugeFace({ face }: { face: Face }) {
  switch (face.kind) {
    case 'dial':
      return <Dial face={face} />;
    case 'vernier':
      return <Vernier value={face.value} step={face.step} />;
    case 'micrometer':
      return <Drum value={face.value} />;
    case 'feelers':
      return <Blades stamps={face.stamps} />;
  }
}

/** Blades fanned out of their holder, each with its stamp. */
function Blades({ stamps }: { stamps: readonly Text[] }) {
  const say = useSay();
  return (
    <svg
      viewBox="0 0 460 190"
      className="mx-auto block w-full max-w-2xl"
      role="img"
      aria-label={say(M.bladesStamped({ stamps: listOf(stamps, say(COMMON.and)) }))}
    >
      {stamps.map((stamp, i) => (
        <g key={textKey(stamp)} transform={`rotate(${-16 + 22 * i} 62 95)`}>
          <path d="M62 80h330q16 15 0 30h-330z" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.8" />
          <text x="250" y="101" fontSize="17" fill="var(--ink)" fontFamily="var(--font-figure)">
            <Words of={stamp} />
          </text>
        </g>
      ))}
      <rect
        x="18"
        y="72"
        width="76"
        height="46"
        rx="8"
        fill="var(--shade)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      <circle cx="62" cy="95" r="9" fill="var(--paper)" stroke="var(--ink)" strokeWidth="2" />
    </svg>
  );
}

/** A dial: its divisions to scale, every tenth numbered, the pointer where the value stands. */
function Dial({ face }: { face: Extract<Face, { kind: 'dial' }> }) {
  const say = useSay();
  const turn = face.divisions * face.perDivision;
  const angle = (v: number) => (2 * Math.PI * v) / turn - Math.PI / 2;
  const at = (v: number, r: number) => [160 + r * Math.cos(angle(v)), 160 + r * Math.sin(angle(v))] as const;
  const [x, y] = at(face.value, 112);
  const [bx, by] = at(face.value, -26);
  return (
    <svg
      viewBox="0 0 320 320"
      className="mx-auto block w-full max-w-sm"
      role="img"
      aria-label={say(M.dialPointerSomewhere)}
    >
      <circle cx="160" cy="160" r="146" fill="var(--paper)" stroke="var(--ink)" strokeWidth="3" />
      {Array.from({ length: face.divisions }, (_, i) => {
        const v = i * face.perDivision;
        const long = i % 10 === 0;
        const [x1, y1] = at(v, long ? 116 : i % 5 === 0 ? 124 : 130);
        const [x2, y2] = at(v, 138);
        const [tx, ty] = at(v, 100);
        return (
          <g key={v}>
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="var(--ink)" strokeWidth={long ? 2.4 : 1.1} />
            {long && (
              <text
                x={tx}
                y={ty + 5}
                textAnchor="middle"
                fontSize="15"
                fill="var(--ink)"
                fontFamily="var(--font-figure)"
              >
                {i}
              </text>
            )}
          </g>
        );
      })}
      <text
        x="160"
        y="222"
        textAnchor="middle"
        fontSize="14"
        fill="var(--muted)"
        fontFamily="var(--font-label)"
      >
        {face.unit === 'mm' ? say(M.mm({ perDivision: face.perDivision })) : say(M.n001)}
      </text>
      <line x1={bx} y1={by} x2={x} y2={y} stroke="var(--brass)" strokeWidth="4" />
      <circle cx="160" cy="160" r="8" fill="var(--ink)" />
    </svg>
  );
}

/** Rule above, vernier below: so many lines of it on one less of the rule. */
function Vernier({ value, step }: { value: number; step: number }) {
  const say = useSay();
  const lines = Math.round(1 / step);
  const from = Math.max(0, Math.floor(value) - 6);
  const mm = 15;
  const x = (v: number) => 20 + mm * (v - from);
  // Each line of the vernier stands nearer than a millimetre by its step; it is drawn on twice the length, as long ones are.
  const pitch = 2 - step;
  return (
    <svg viewBox="0 0 820 150" className="mx-auto block w-full" role="img" aria-label={say(M.ruleVernier)}>
      <rect x="0" y="20" width="820" height="48" fill="var(--paper)" stroke="var(--ink)" />
      {Array.from({ length: 56 }, (_, i) => from + i).map((v) => (
        <g key={v}>
          <line
            x1={x(v)}
            x2={x(v)}
            y1={v % 10 === 0 ? 34 : v % 5 === 0 ? 44 : 52}
            y2="68"
            stroke="var(--ink)"
            strokeWidth="1.3"
          />
          {v % 10 === 0 && (
            <text
              x={x(v)}
              y="32"
              textAnchor="middle"
              fontSize="13"
              fill="var(--ink)"
              fontFamily="var(--font-figure)"
            >
              {v}
            </text>
          )}
        </g>
      ))}
      <rect
        x={x(value) - 8}
        y="69"
        width={mm * pitch * lines + 16}
        height="50"
        fill="var(--shade)"
        stroke="var(--ink)"
      />
      {Array.from({ length: lines + 1 }, (_, i) => i).map((i) => (
        <g key={i}>
          <line
            x1={x(value + i * pitch)}
            x2={x(value + i * pitch)}
            y1="69"
            y2={i % 2 === 0 ? 94 : 86}
            stroke="var(--ink)"
            strokeWidth="1.3"
          />
          {i % 4 === 0 && (
            <text
              x={x(value + i * pitch)}
              y="110"
              textAnchor="middle"
              fontSize="12"
              fill="var(--ink)"
              fontFamily="var(--font-figure)"
            >
              {i / 2}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}

/** A sleeve with millimetres above its line and halves below, and the drum with its fifty to a turn. */
function Drum({ value }: { value: number }) {
  const say = useSay();
  const edge = 60 + 9 * value;
  const drum = ((value * 100) % 50) / 50;
  const rows = Array.from({ length: 13 }, (_, i) => i - 6);
  return (
    <svg
      viewBox="0 0 460 200"
      className="mx-auto block w-full max-w-2xl"
      role="img"
      aria-label={say(M.micrometersSleeveDrum)}
    >
      <rect x="20" y="60" width={edge - 20} height="80" fill="var(--paper)" stroke="var(--ink)" />
      <line x1="40" x2={edge} y1="100" y2="100" stroke="var(--ink)" />
      {Array.from({ length: 26 }, (_, i) => i)
        .filter((v) => v <= value + 1e-9)
        .map((v) => (
          <g key={v}>
            <line
              x1={60 + 9 * v}
              x2={60 + 9 * v}
              y1={v % 5 === 0 ? 80 : 88}
              y2="100"
              stroke="var(--ink)"
              strokeWidth="1.2"
            />
            {v % 5 === 0 && (
              <text
                x={60 + 9 * v}
                y="76"
                textAnchor="middle"
                fontSize="12"
                fill="var(--ink)"
                fontFamily="var(--font-figure)"
              >
                {v}
              </text>
            )}
            {v + 0.5 <= value + 1e-9 && (
              <line
                x1={60 + 9 * (v + 0.5)}
                x2={60 + 9 * (v + 0.5)}
                y1="100"
                y2="112"
                stroke="var(--ink)"
                strokeWidth="1.2"
              />
            )}
          </g>
        ))}
      <path d={`M${edge} 34h150v132h-150z`} fill="var(--shade)" stroke="var(--ink)" />
      {rows.map((k) => {
        // Lines of the drum on either side of the one at the line of the sleeve, one hundredth apart.
        const n = Math.round(drum * 50) + k;
        const y = 100 - (k + (Math.round(drum * 50) - drum * 50)) * 10;
        if (y < 38 || y > 162) return null;
        const shown = ((n % 50) + 50) % 50;
        return (
          <g key={k}>
            <line
              x1={edge}
              x2={edge + (shown % 5 === 0 ? 26 : 15)}
              y1={y}
              y2={y}
              stroke="var(--ink)"
              strokeWidth="1.2"
            />
            {shown % 5 === 0 && (
              <text x={edge + 32} y={y + 4.5} fontSize="13" fill="var(--ink)" fontFamily="var(--font-figure)">
                {shown}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
