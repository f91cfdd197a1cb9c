import type { Text } from '@fulcrant/core/messages';
import { COMMON, textKey } from '@fulcrant/core/messages';
import { type FormEvent, type ReactNode, useState } from 'react';
import { Button, Dialog, Fault } from './controls.tsx';
import { useSay, Words } from './settings.tsx';

type Props = {
  open: boolean;
  title: Text;
  ask: Text;
  does: Text;
  onClose: () => void;
  onReason: (reason: string) => Promise<Text | null>;
  children?: ReactNode;
  optional?: boolean;
  /** Reasons that are one touch. */
  quick?: readonly Text[];
};

/** Ask for a reason in words, and do the thing with it. */
export function ReasonDialog({
  open,
  title,
  ask,
  does,
  onClose,
  onReason,
  children,
  optional = false,
  quick = [],
}: Props) {
  const say = useSay();
  const [text, setText] = useState('');
  const [fault, setFault] = useState<Text | null>(null);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    await give(text);
  };
  const give = async (words: string) => {
    if (!optional && words.trim().length < 3) return setFault(say(COMMON.reasonTakesFewWords));
    const refused = await onReason(words.trim());
    if (refused) return setFault(refused);
    setText('');
    setFault(null);
    onClose();
  };
  return (
    <Dialog open={open} onClose={onClose} title={title}>
      <form onSubmit={(e) => void submit(e)} className="flex flex-col gap-3">
        {children}
        {quick.length > 0 && (
          <div className="flex flex-wrap gap-2">
            {quick.map((reason) => (
              <Button key={textKey(reason)} onClick={() => void give(say(reason))} data-reason>
                <Words of={reason} />
              </Button>
            ))}
          </div>
        )}
        <label className="flex flex-col gap-1">
          <span>
            <Words of={ask} />
          </span>
          <textarea
            value={text}
            onChange={(e) => setText(e.target.value)}
            rows={3}
            maxLength={400}
            aria-invalid={fault !== null}
            className="border border-ink bg-transparent p-2"
          />
        </label>
        {fault && <Fault>{say(fault)}</Fault>}
        <div className="flex gap-3">
          <Button type="submit" weight="solid">
            <Words of={does} />
          </Button>
          <Button onClick={onClose}>{say(COMMON.back)}</Button>
        </div>
      </form>
    </Dialog>
  );
}
