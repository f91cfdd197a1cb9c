import { wrenchSetting } from '@fulcrant/core/calculators';
import type { Instrument } from '@fulcrant/core/instruments';
import { listOf } from '@fulcrant/core/messages';
import { parseAngle, parseLength, saidBy } from '@fulcrant/core/units';
import { useState } from 'react';
import { Button } from '../../ui/controls.tsx';
import { useSay, useSettings } from '../../ui/settings.tsx';
import { M } from './messages.ts';

/** What to set the wrench to with an extension that reaches sideways: worked out beside the field, typed by the hand. */
export function Extension({ torqueNm, gauge }: { torqueNm: number; gauge: Instrument | null }) {
  const say = useSay();
  const { unit } = useSettings();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState({ wrench: '', extension: '', angle: '0' });
  if (!gauge) return null;
  if (!open)
    return (
      <Button weight="bare" className="!px-0 !text-base" onClick={() => setOpen(true)}>
        {say(M.extension)}
      </Button>
    );
  const wrench = parseLength(text.wrench, unit);
  const extension = parseLength(text.extension, unit);
  const angle = parseAngle(text.angle || '0');
  const worked = (): string => {
    if (!wrench.ok || !extension.ok || !angle.ok) return say(M.bothLengthsDriveGripDrive);
    try {
      const r = wrenchSetting({
        torqueNm,
        wrenchMm: wrench.mm,
        extensionMm: extension.mm,
        extensionDeg: angle.deg,
        scaleLowNm: gauge.low,
        scaleHighNm: gauge.high,
      });
      return say(listOf([r.findings[0]?.reason ?? '', r.working[0]?.sum ?? ''], ' '));
    } catch (error) {
      return error instanceof RangeError ? say(saidBy(error)) : say(M.cannotWorkedOut);
    }
  };
  const field = (key: keyof typeof text, label: string) => (
    <label className="flex flex-col">
      <span className="kicker">{label}</span>
      <input
        value={text[key]}
        onChange={(e) => setText({ ...text, [key]: e.target.value })}
        inputMode="decimal"
        autoComplete="off"
        maxLength={16}
        className="figures min-h-12 w-28 border-0 border-b-2 border-muted bg-transparent text-lg"
      />
    </label>
  );
  return (
    <div className="flex w-full flex-wrap items-end gap-4">
      {field('wrench', say(M.wrenchToGrip))}
      {field('extension', say(M.extension))}
      {field('angle', say(M.angleToHandle))}
      <p className="m-0 min-w-56 flex-1 leading-snug" aria-live="polite">
        {worked()}
      </p>
    </div>
  );
}
