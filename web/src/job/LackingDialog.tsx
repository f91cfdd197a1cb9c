import { LACKING, type LackingWhy } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, textKey } from '@fulcrant/core/messages';
import { useState } from 'react';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

/** A number that is not there is said so, with a reason by one touch or in words; it prints. */
export function LackingDialog({
  open,
  onClose,
  whys,
  onSay,
}: {
  open: boolean;
  onClose: () => void;
  whys: readonly LackingWhy[];
  onSay: (why: LackingWhy, reason: string) => Promise<Text | null>;
}) {
  const say = useSay();
  const [text, setText] = useState('');
  const [fault, setFault] = useState<Text | null>(null);
  const tell = async (why: LackingWhy, reason: Text) => {
    if (say(reason).trim().length < 3) return setFault(say(COMMON.reasonTakesFewWords));
    const refused = await onSay(why, say(reason).trim());
    if (refused) return setFault(say(refused));
    setText('');
    setFault(null);
    onClose();
  };
  return (
    <Dialog open={open} onClose={onClose} title={say(M.noNumberHere)}>
      <div className="flex flex-col gap-3">
        <p className="m-0">{say(M.printsSheetReasonChooseOne)}</p>
        {whys.map((why) => (
          <fieldset key={why} className="m-0 flex flex-wrap gap-2 border-0 p-0">
            <legend className="kicker">
              <Words of={LACKING[why].said} />
            </legend>
            {LACKING[why].reasons.map((reason) => (
              <Button key={textKey(reason)} onClick={() => void tell(why, reason)}>
                <Words of={reason} />
              </Button>
            ))}
            <Button disabled={text.trim() === ''} onClick={() => void tell(why, text)}>
              {say(M.asTypedBelow)}
            </Button>
          </fieldset>
        ))}
        <TextField label={say(M.anotherReason)} value={text} onText={setText} />
        {fault && (
          <Fault>
            <Words of={fault} />
          </Fault>
        )}
        <Button onClick={onClose}>{say(COMMON.cancel)}</Button>
      </div>
    </Dialog>
  );
}
