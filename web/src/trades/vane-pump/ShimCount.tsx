import { pileFigure } from '@fulcrant/core/figures';
import { COMMON } from '@fulcrant/core/messages';
import type { ShimCountValues } from '@fulcrant/core/trades';
import { lengthDigits } from '@fulcrant/core/units';
import { type FormEvent, useState } from 'react';
import { DrawingView } from '../../figures/DrawingView.tsx';
import { Button, Fault } from '../../ui/controls.tsx';
import { useSay, useSettings } from '../../ui/settings.tsx';
import { M } from './messages.ts';

type Props = {
  values: ShimCountValues;
  open: boolean;
  /** The heap that is wanted may be told by one touch: not at a practice job, where counting is practised. */
  quick: boolean;
  /** The heap as it was counted. */
  onCount(heap: number[]): void;
};

/** Shims counted into heaps by thickness: a field a thickness, the heap that is wanted beside it, both as piles. */
export function ShimCount({ values: v, open, quick, onCount }: Props) {
  const say = useSay();
  const { unit } = useSettings();
  const kept = v.wanted === null ? v.off : v.on;
  const [texts, setTexts] = useState(() => v.thicknessesMm.map((_, i) => String(kept?.[i] ?? '')));
  const [fault, setFault] = useState<{ i: number; words: string } | null>(null);
  const counted = texts.map((t) => (/^\s*\d{1,2}\s*$/.test(t) ? Number(t) : null));
  const count = (event: FormEvent) => {
    event.preventDefault();
    const bad = counted.findIndex((n) => n === null || n > 60);
    if (bad >= 0)
      return setFault({
        i: bad,
        words: texts[bad]?.trim() === '' ? say(M.howMany0WhereThere) : say(M.wholeNumberShims060),
      });
    setFault(null);
    onCount(counted.map((n) => n ?? 0));
  };
  const pile = (heap: readonly (number | null)[]) =>
    v.thicknessesMm.map((thicknessMm, i) => ({ thicknessMm, count: heap[i] ?? 0 }));
  const differs = v.wanted !== null && v.on !== null && v.on.join() !== v.wanted.join();
  return (
    <form onSubmit={count} noValidate className="grid gap-6 md:grid-cols-[4fr_5fr]" data-shims>
      <div className="flex flex-col">
        {v.thicknessesMm.map((mm, i) => (
          <div key={mm} className="border-b border-faint py-2">
            <label className="flex items-center justify-between gap-4">
              <span className="font-label text-xl font-semibold">
                <span className="figures">{lengthDigits(mm, unit)}</span> {unit}
                {v.wanted && (
                  <span className="block font-normal text-base text-muted">
                    {v.wanted.join() === v.off?.join() ? say(M.cameOff) : say(COMMON.wanted)}: {v.wanted[i]}
                  </span>
                )}
              </span>
              <input
                value={texts[i]}
                disabled={!open}
                onChange={(e) => setTexts((t) => t.map((old, k) => (k === i ? e.target.value : old)))}
                onKeyDown={(e) => {
                  // Enter goes to the next heap, as it goes to the next place anywhere.
                  const next = e.currentTarget.form?.querySelectorAll('input')[i + 1];
                  if (e.key !== 'Enter' || !next) return;
                  e.preventDefault();
                  next.focus();
                }}
                // biome-ignore lint/a11y/noAutofocus: the first heap is what is counted next
                autoFocus={i === 0}
                inputMode="numeric"
                autoComplete="off"
                maxLength={6}
                aria-label={say(M.shims({ lengthDigits: lengthDigits(mm, unit), unit }))}
                aria-invalid={fault?.i === i}
                className="figures min-h-14 w-28 border-0 border-b-[3px] border-brass bg-transparent text-right text-3xl"
              />
            </label>
            {fault?.i === i && <Fault>{fault.words}</Fault>}
          </div>
        ))}
        {open && (
          <div className="flex flex-wrap gap-3 pt-4">
            {quick && v.wanted !== null && v.on === null && texts.every((t) => t === '') && (
              <Button
                weight="solid"
                onClick={() => {
                  setTexts(v.wanted?.map(String) ?? texts);
                  onCount([...(v.wanted ?? [])]);
                }}
                data-as-wanted
              >
                {say(M.countedAsWanted({ heap: v.wanted.join(' · ') }))}
              </Button>
            )}
            <Button type="submit" weight="solid">
              {say(M.counted)}
            </Button>
          </div>
        )}
      </div>
      <div className={`grid items-end ${v.wanted ? 'grid-cols-2' : ''}`}>
        {v.wanted && (
          <DrawingView
            drawing={pileFigure({
              pile: pile(v.wanted),
              title: v.wanted.join() === v.off?.join() ? say(M.cameOff) : say(COMMON.wanted),
            })}
          />
        )}
        <DrawingView
          drawing={pileFigure({
            pile: pile(counted),
            title: v.wanted ? say(M.goesBack) : say(M.sidesHeap),
            tone: differs ? 'stop' : 'ink',
          })}
        />
      </div>
    </form>
  );
}
