import { type JobState, records } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { useState } from 'react';
import type { JobView } from '../data/job.ts';
import { useSession } from '../data/session.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** A second person looks at a change of the setup that would lift a stop, and says so. */
export function Look({ job, state, change: id }: { job: JobView; state: JobState; change: string }) {
  const say = useSay();
  const { person } = useSession();
  const [fault, setFault] = useState<Text | null>(null);
  const change = state.setupChanges.find((c) => c.id === id);
  if (!change || !records(person?.role) || !person) return null;
  if (change.author.id === person.id)
    return <p className="mt-0.5 text-sm text-muted">{say(M.youMadeChangeSomebodyElse)}</p>;
  return (
    <>
      <Button
        className="mt-2"
        onClick={() => void job.act('change.seen', { change: change.id }).then(setFault)}
        data-look
      >
        {say(M.iHaveLookedChangeRight)}
      </Button>
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
    </>
  );
}
