import type { Text } from '@fulcrant/core/messages';
import { parseAngle } from '@fulcrant/core/units';
import { type FormEvent, useState } from 'react';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';
/** Any angle of the turn, where a keyway or a hole stands in the way of an even one. */
export function AngleChoice({ onAngle }: { onAngle: (deg: number) => Text | null }) {
  const [text, setText] = useState<string | null>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const say = useSay();
  if (text === null)
    return (
      <Button weight="bare" className="!px-0 !text-base" onClick={() => setText('')}>
        {say(M.anotherAngle)}
      </Button>
    );
  const go = (e: FormEvent) => {
    e.preventDefault();
    const angle = parseAngle(text);
    const refused = angle.ok ? onAngle(angle.deg) : angle.message;
    setFault(refused);
    if (!refused) setText(null);
  };
  return (
    <form onSubmit={go} noValidate className="flex flex-wrap items-center gap-2">
      <label className="flex items-center gap-2">
        {say(M.at)}
        <input
          // biome-ignore lint/a11y/noAutofocus: it was just asked for
          autoFocus
          value={text}
          onChange={(e) => setText(e.target.value)}
          inputMode="decimal"
          maxLength={8}
          aria-label={say(M.angleTurnDegrees)}
          className="figures min-h-12 w-24 border-0 border-b-2 border-brass bg-transparent text-xl"
        />
        °
      </label>
      <Button type="submit">{say(M.readThere)}</Button>
      {fault && <Fault>{say(fault)}</Fault>}
    </form>
  );
}
