import type { Text } from '@fulcrant/core/messages';
import { textKey } from '@fulcrant/core/messages';
import type { Block } from '@fulcrant/core/sheet';
import type { ReactNode } from 'react';
import { Photo } from '../entry/Photo.tsx';
import { DrawingView } from '../figures/DrawingView.tsx';
import { Results } from '../ui/Results.tsx';
import { useSay, Words } from '../ui/settings.tsx';

/** A sheet's blocks on the screen; those under a heading stand together. */
export function Blocks({ blocks }: { blocks: readonly Block[] }) {
  return sections(blocks).map((s, i) =>
    s.heading === null ? (
      // biome-ignore lint/suspicious/noArrayIndexKey: the blocks of a sheet stand in order and never move
      <div key={i} className="[&>p]:px-4 [&>p]:py-2">
        {drawn(s.blocks)}
      </div>
    ) : (
      // biome-ignore lint/suspicious/noArrayIndexKey: the blocks of a sheet stand in order and never move
      <section key={i} className="break-inside-avoid-page border-t border-rule px-4 py-3">
        <h2 className="m-0 mb-1 text-xl">
          <Words of={s.heading} />
        </h2>
        {drawn(s.blocks)}
      </section>
    ),
  );
}

type Section = { heading: Text | null; blocks: Block[] };
function sections(blocks: readonly Block[]): Section[] {
  const all: Section[] = [{ heading: null, blocks: [] }];
  for (const b of blocks)
    if (b.block === 'heading') all.push({ heading: b.text, blocks: [] });
    else all.at(-1)?.blocks.push(b);
  return all;
}

const drawn = (blocks: readonly Block[]): ReactNode[] =>
  // biome-ignore lint/suspicious/noArrayIndexKey: the blocks of a sheet stand in order and never move
  blocks.map((b, i) => <Drawn key={i} block={b} />);

function Drawn({ block: b }: { block: Block }) {
  const say = useSay();
  switch (b.block) {
    case 'results':
      return <Results rows={b.rows} />;
    case 'drawings':
      return (
        <div className="flex flex-wrap items-end gap-4 px-4 pt-3">
          {b.drawings.map((d) => (
            <DrawingView key={say(d.title)} drawing={d} printed />
          ))}
        </div>
      );
    case 'photos':
      return (
        <div className="flex flex-wrap gap-4 py-2">
          {b.photos.map((p) => (
            <figure key={p.hash} className="m-0 w-full max-w-80 break-inside-avoid">
              <Photo hash={p.hash} words={p.words} />
              <figcaption className="text-sm">
                {p.words} <span className="text-muted">{say(p.small)}</span>
              </figcaption>
            </figure>
          ))}
        </div>
      );
    case 'line':
      return (
        <p className={`m-0 py-0.5 text-[0.95rem] ${b.inset ? 'border-l-2 border-faint pl-3' : ''}`}>
          {b.lead && (
            <strong>
              <Words of={b.lead} />{' '}
            </strong>
          )}
          {say(b.text)} {b.small && <span className="text-muted">{say(b.small)}</span>}
        </p>
      );
    case 'table':
      return (
        <table
          className={`my-2 border-collapse text-left text-[0.95rem] ${b.of === 'verdicts' ? 'mx-4 w-[calc(100%-2rem)]' : 'w-full'}`}
        >
          <thead>
            <tr className="kicker">
              {b.head.map((h) => (
                <th key={textKey(h)} className="pr-3">
                  <Words of={h} />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {b.rows.map((r, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: rows of a record stand in order and never move
              <tr key={i} className="border-t border-faint align-top">
                {r.cells.map((c, at) => (
                  <td
                    key={textKey(b.head[at])}
                    className={`pr-3 ${b.of === 'verdicts' ? (at === 0 ? 'whitespace-nowrap font-medium' : at === 1 ? '' : 'text-muted') : at === 1 || at === 2 ? 'figures whitespace-nowrap' : at === 3 ? 'text-muted' : ''} ${r.struck && at === 1 ? 'line-through' : ''}`}
                  >
                    {say(c)}
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
              <dt className="text-muted">{say(what)}</dt>
              <dd className="figures m-0">{say(sum)}</dd>
            </div>
          ))}
        </dl>
      );
    case 'heading':
      return null;
  }
}
