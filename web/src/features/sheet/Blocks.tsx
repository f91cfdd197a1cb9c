import { type Block, type FitUpSheet, kindOf, sayIn, sleeveOf } from '@fulcrant/core';
import type { ReactNode } from 'react';
import { useSettings } from '../../app/settings.tsx';
import { BearingFigure } from '../../figures/BearingFigure.tsx';
import { Results } from './Results.tsx';
import { SheetFigures } from './SheetFigures.tsx';

/** A sheet's blocks on the screen; those under a heading stand together. */
export function Blocks({ sheet, blocks }: { sheet: FitUpSheet; blocks: readonly Block[] }) {
  return sections(blocks).map((s, i) =>
    s.heading === null ? (
      // biome-ignore lint/suspicious/noArrayIndexKey: the blocks of a sheet stand in order and never move
      <div key={i}>{drawn(sheet, s.blocks)}</div>
    ) : (
      // biome-ignore lint/suspicious/noArrayIndexKey: the blocks of a sheet stand in order and never move
      <section key={i} className="break-inside-avoid-page border-t border-rule px-4 py-3">
        <h2 className="m-0 mb-1 text-xl">{s.heading}</h2>
        {drawn(sheet, s.blocks)}
      </section>
    ),
  );
}

type Section = { heading: string | null; blocks: Block[] };
function sections(blocks: readonly Block[]): Section[] {
  const all: Section[] = [{ heading: null, blocks: [] }];
  for (const b of blocks)
    if (b.block === 'heading') all.push({ heading: b.text, blocks: [] });
    else all.at(-1)?.blocks.push(b);
  return all;
}

const drawn = (sheet: FitUpSheet, blocks: readonly Block[]): ReactNode[] =>
  // biome-ignore lint/suspicious/noArrayIndexKey: the blocks of a sheet stand in order and never move
  blocks.map((b, i) => <Drawn key={i} sheet={sheet} block={b} />);

function Drawn({ sheet, block: b }: { sheet: FitUpSheet; block: Block }) {
  const { unit } = useSettings();
  switch (b.block) {
    case 'results':
      return <Results rows={b.rows} />;
    case 'drawing':
      return b.drawing === 'turns' ? <SheetFigures sheet={sheet} /> : <Section sheet={sheet} />;
    case 'line':
      return (
        <p className={`m-0 py-0.5 text-[0.95rem] ${b.inset ? 'border-l-2 border-faint pl-3' : ''}`}>
          {b.lead && <strong>{b.lead} </strong>}
          {sayIn(b.text, unit)} {b.small && <span className="text-muted">{sayIn(b.small, unit)}</span>}
        </p>
      );
    case 'table':
      return (
        <table className="my-2 w-full border-collapse text-left text-[0.95rem]">
          <thead>
            <tr className="kicker">
              {b.head.map((h) => (
                <th key={h}>{h}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {b.rows.map((r, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: rows of a record stand in order and never move
              <tr key={i} className="border-t border-faint align-top">
                {r.cells.map((c, at) => (
                  <td
                    key={b.head[at]}
                    className={`pr-3 ${at === 1 || at === 2 ? 'figures whitespace-nowrap' : at === 3 ? 'text-muted' : ''} ${r.struck && at === 1 ? 'line-through' : ''}`}
                  >
                    {sayIn(c, unit)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      );
    case 'working':
      return (
        <dl className="m-0 mt-1 grid grid-cols-[auto_1fr] gap-x-4 text-sm">
          {b.rows.map(([what, sum], i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: lines of one sum stand in order and may repeat
            <div key={i} className="contents">
              <dt className="text-muted">{sayIn(what, unit)}</dt>
              <dd className="figures m-0">{sayIn(sum, unit)}</dd>
            </div>
          ))}
        </dl>
      );
    case 'heading':
      return null;
  }
}

/** The bearing on its sleeve as it ended, where the job fitted one. */
function Section({ sheet }: { sheet: FitUpSheet }) {
  const { benchMm, residualMm, travelMm, nutDeg, largestMm } = sheet.results;
  if (benchMm === null || kindOf(sheet.setup) !== 'sleeve-bearing') return null;
  const setup = sleeveOf(sheet);
  return (
    <div className="mx-auto max-w-3xl px-4 pt-3">
      <BearingFigure
        setup={setup}
        clearanceMm={residualMm ?? benchMm}
        rowAMm={residualMm}
        rowBMm={residualMm}
        travelMm={travelMm ?? (nutDeg === null ? null : (setup.pitchMm * nutDeg) / 360)}
        travelDimension
        shaftMm={largestMm}
      />
    </div>
  );
}
