import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
import { useState } from 'react';
import { call } from '../data/api.ts';
import { forgetDevice } from '../data/store.ts';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** How often the server is asked whether it is back, ms. */
const ASK_MS = 500;

/** A demo laid anew, after a question: its jobs are of today again, and what was tried in it is gone. */
export function DemoAnew() {
  const say = useSay();
  const [asking, setAsking] = useState(false);
  const [laying, setLaying] = useState(false);
  const [fault, setFault] = useState<Text | null>(null);
  const lay = async () => {
    setFault(null);
    setLaying(true);
    try {
      await call('POST', '/api/demo/anew', {});
    } catch (error) {
      setLaying(false);
      return setFault(error instanceof Error ? saidBy(error) : null);
    }
    await forgetDevice();
    // The old sign-in holds until the old demo is gone.
    while (
      (await fetch('/api/session').then(
        (r) => r.status,
        () => 0,
      )) !== 401
    )
      await new Promise((done) => setTimeout(done, ASK_MS));
    location.assign('/sign-in');
  };
  return (
    <>
      <Button onClick={() => setAsking(true)}>{say(M.layDemoAnew)}</Button>
      <Dialog open={asking} onClose={() => !laying && setAsking(false)} title={say(M.layDemoAnew)}>
        <p className="m-0 text-lg">{say(M.demoAnewAsk)}</p>
        {fault && (
          <Fault>
            <Words of={fault} />
          </Fault>
        )}
        <div className="mt-4 flex gap-3">
          <Button weight="solid" disabled={laying} onClick={() => void lay()} data-demo-anew>
            {say(laying ? M.demoBeingLaid : M.layDemoAnew)}
          </Button>
          <Button disabled={laying} onClick={() => setAsking(false)}>
            {say(COMMON.back)}
          </Button>
        </div>
      </Dialog>
    </>
  );
}
