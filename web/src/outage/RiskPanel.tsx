import type { Text } from '@fulcrant/core/messages';
import { COMMON, textKey } from '@fulcrant/core/messages';
import {
  type Outage,
  type OutageNetwork,
  type Placed,
  type Risk,
  supposed,
  toolKey,
  type WhatIf,
} from '@fulcrant/core/outage';
import { Button } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { boundSaid } from './change.ts';
import { M } from './messages.ts';

/** How likely it is done by the wall, which jobs threaten that, and what would buy most. */
export function RiskPanel({
  outage,
  net,
  placed,
  told: risk,
  bound,
  say,
  onTry,
}: {
  outage: Outage;
  net: OutageNetwork;
  placed: readonly Placed[];
  /** Null while it is being worked out. */
  told: Risk | null;
  bound: { end: number; by: Text };
  say: (m: number) => string;
  onTry: ((title: Text, next: Outage) => void) | null;
}) {
  const tell = useSay();
  if (placed.length === 0) return <p className="text-muted">{tell(M.thereNoPlanYetJudge)}</p>;
  if (!risk) return <p className="text-muted">{tell(M.chanceBeingWorkedOut2)}</p>;
  const name = (key: string) => {
    const j = outage.jobs.find((x) => x.key === key);
    return j ? `${j.machine}, ${j.position}` : key;
  };
  // Half of what 10 000 draws leave in doubt, 95 of 100.
  const doubt = 1.96 * Math.sqrt((risk.chance * (1 - risk.chance)) / risk.draws);
  const of100 = (p: number) =>
    p > 0.995 && p < 1
      ? tell(COMMON.over2)
      : p < 0.005 && p > 0
        ? tell(COMMON.under)
        : `${Math.round(100 * p)}`;
  return (
    <div
      className="grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
      data-risk={risk.chance.toFixed(4)}
    >
      <div>
        <p className="m-0 text-2xl">
          <span className="figures font-semibold">{of100(risk.chance)}</span> {tell(M.n100DoneDeadline)}
          <span className="text-base text-muted"> ± {(100 * doubt).toFixed(1)}</span>
        </p>
        <Scale ends={risk.ends} wall={net.wall} say={say} />
        <p className="m-0 text-sm text-muted">
          {tell(M.outagesTriedEachPieceAs({ toLocaleString2: risk.draws.toLocaleString('en') }))}
        </p>
        {bound.by !== '' && (
          <p className="m-0 mt-2 text-sm">
            {tell(
              M.nothingCanDoneBeforeThroat({ end: say(bound.end), boundSaid: boundSaid(outage, bound.by) }),
            )}
          </p>
        )}
        {onTry && (
          <div className="mt-2 flex flex-wrap gap-2">
            {buys(outage, bound.by, placed, net).map(([title, what]) => (
              <Button
                key={textKey(title)}
                className="!text-base"
                onClick={() => onTry(title, supposed(outage, what))}
              >
                <Words of={title} />?
              </Button>
            ))}
          </div>
        )}
      </div>
      <div>
        <h2 className="kicker m-0 border-b border-rule pb-1">{tell(M.whatThreatens)}</h2>
        <ol className="m-0 list-none p-0">
          {risk.groups
            .filter((g) => g.onPath > 0.01)
            .slice(0, 7)
            .map((g) => (
              <li
                key={g.group}
                className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-faint py-1.5"
              >
                <span className="font-label text-lg font-semibold">{name(g.group)}</span>
                <span className="text-sm">
                  {tell(
                    M.holdsUpEnd100Itself({
                      of100: of100(g.onPath),
                      chance: risk.chance < 0.995 ? M.lateOnes({ of100: of100(g.threatens) }) : '',
                      of1002: of100(g.chance),
                    }),
                  )}
                </span>
              </li>
            ))}
        </ol>
      </div>
    </div>
  );
}

/** What might be bought, by what holds the end: another tool, another hand for what is scarce. */
function buys(
  outage: Outage,
  throat: Text,
  placed: readonly Placed[],
  net: OutageNetwork,
): Array<[title: Text, what: WhatIf]> {
  const tool = outage.tools.find((t) => toolKey(t) === throat);
  const load = new Map<string, number>();
  for (const p of placed) {
    const piece = net.pieces.get(p.id);
    if (piece?.skill && piece.state === 'ahead')
      load.set(piece.skill, (load.get(piece.skill) ?? 0) + (p.finish - p.start));
  }
  const scarce = [...load]
    .map(
      ([skill, minutes]) =>
        [
          skill,
          minutes / Math.max(1, outage.crew.filter((c) => (c.skills as string[]).includes(skill)).length),
        ] as const,
    )
    .sort((a, b) => b[1] - a[1])
    .slice(0, 2);
  return [
    ...(tool
      ? [[M.another({ toolKey: toolKey(tool) }), { kind: 'another', tool: toolKey(tool) }] as [Text, WhatIf]]
      : []),
    ...scarce.map(([skill]): [Text, WhatIf] => [
      M.oneMore({ skill }),
      { kind: 'one more', skill: skill as never },
    ]),
  ];
}

/** Early, middle and late end on a tape, and where the wall stands. */
function Scale({
  ends,
  wall,
  say,
}: {
  ends: { p5: number; p50: number; p95: number };
  wall: number;
  say: (m: number) => string;
}) {
  const tell = useSay();
  const [from, to] = [Math.min(ends.p5, wall), Math.max(ends.p95, wall)];
  const x = (m: number) => 70 + (560 * (m - from)) / (to - from || 1);
  return (
    <svg
      viewBox="0 0 700 92"
      className="block w-full max-w-2xl"
      role="img"
      aria-label={tell(
        M.fiveHundredEndBeforeHalf({
          p5: say(ends.p5),
          p50: say(ends.p50),
          p95: say(ends.p95),
          wall: say(wall),
        }),
      )}
    >
      <line x1={x(ends.p5)} x2={x(ends.p95)} y1="46" y2="46" stroke="var(--ink)" strokeWidth="9" />
      <path d={`M${x(ends.p50)} 30v32`} stroke="var(--brass)" strokeWidth="4" />
      <line x1={x(wall)} x2={x(wall)} y1="18" y2="74" stroke="var(--ink)" strokeWidth="5" />
      {(
        [
          [ends.p5, tell(M.n5100), 88],
          [ends.p50, 'half', 24],
          [ends.p95, tell(M.n95100), 88],
        ] as const
      ).map(([m, words, y]) => (
        <text
          key={words}
          x={x(m)}
          y={y}
          textAnchor="middle"
          fontSize="14"
          fill="var(--muted)"
          fontFamily="var(--font-label)"
        >
          {words} {say(m)}
        </text>
      ))}
      <text
        x={x(wall)}
        y="13"
        textAnchor={x(wall) > 560 ? 'end' : 'middle'}
        fontSize="14"
        fontWeight="600"
        fill="var(--ink)"
        fontFamily="var(--font-label)"
      >
        {tell(M.wall3({ wall: say(wall) }))}
      </text>
    </svg>
  );
}
