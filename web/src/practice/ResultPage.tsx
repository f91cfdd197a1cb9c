import { saidBy } from '@fulcrant/core/units';
import { rigOf } from '@fulcrant/practice';
import { useParams } from 'react-router';
import { useResult } from '../data/benches.ts';
import { Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { DebriefView } from './DebriefView.tsx';
import { M } from './messages.ts';
import { usePracticePaper } from './use-paper.ts';

/** What was handed in, looked at again. */
export function ResultPage() {
  const say = useSay();
  usePracticePaper();
  const { id = '' } = useParams();
  const result = useResult(id);
  const rig = result.data ? rigOf(result.data.rig) : undefined;
  return (
    <Page
      title={rig ? say(M.debrief({ name: rig.name })) : say(M.debrief2)}
      ways={[['/practice/log', say(M.log)]]}
      wide
    >
      {result.isError && (
        <Fault>
          <Words of={saidBy(result.error)} />
        </Fault>
      )}
      {result.data && rig && (
        <DebriefView rig={rig} debrief={result.data.debrief} attempt={result.data.attempt} />
      )}
    </Page>
  );
}
