import type { Instrument } from '@fulcrant/core/instruments';
import { useSay } from '../../ui/settings.tsx';
import { Extension } from './Extension.tsx';
import { M } from './messages.ts';
import { WrenchFeed } from './WrenchFeed.tsx';

export const LINE = 'figures min-h-12 border-0 border-b-[3px] border-brass bg-transparent text-2xl';

/** What the wrench is set to. */
export function WrenchField({
  text,
  onText,
  invalid,
}: {
  text: string;
  onText: (text: string) => void;
  invalid: boolean;
}) {
  const say = useSay();
  return (
    <label className="flex flex-col">
      <span className="kicker pb-1.5">{say(M.wrench)}</span>
      <input
        value={text}
        onChange={(e) => onText(e.target.value)}
        inputMode="decimal"
        autoComplete="off"
        maxLength={20}
        aria-invalid={invalid}
        data-wrench
        className={`${LINE} w-44`}
      />
    </label>
  );
}

/** A wrench on a port, and one with an extension. */
export function WrenchHelp({
  torqueNm,
  gauge,
  onTake,
}: {
  torqueNm: number;
  gauge: Instrument | null;
  onTake: (nm: number) => void;
}) {
  return (
    <div className="flex w-full flex-wrap items-center gap-x-6">
      <WrenchFeed wantedNm={torqueNm} onTake={onTake} />
      <Extension torqueNm={torqueNm} gauge={gauge} />
    </div>
  );
}
