import { COMMON } from '@fulcrant/core/messages';
import { useNavigate } from 'react-router';
import { useSession } from '../data/session.tsx';
import { Button } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { EntrySheet } from './EntrySheet.tsx';
import { M } from './messages.ts';

/** Nobody leads this plant yet: its first visitor names it and becomes its lead hand, by the code in the console. */
export function FirstVisitPage() {
  const say = useSay();
  const { enter } = useSession();
  const go = useNavigate();
  return (
    <EntrySheet
      title={say(M.plantNothingYet)}
      says={say(M.youNameLeadEverybodyElse)}
      begin={{ code: '', site: '', name: '', password: '' }}
      rows={[
        {
          name: 'code',
          label: say(M.codePrintedWhereFulcrantStarted),
          more: { autoCapitalize: 'characters' },
        },
        { name: 'site', label: say(COMMON.siteCalled) },
        {
          name: 'name',
          label: say(M.yourNameAsWillStand),
          more: { autoComplete: 'username', maxLength: 60 },
        },
        {
          name: 'password',
          label: say(M.yourPasswordTenCharactersMore),
          more: { type: 'password', autoComplete: 'new-password', maxLength: 200 },
        },
      ]}
      onEnter={async (text) => {
        await enter('/api/first-visit', text);
        await go('/plant');
      }}
    >
      <Button type="submit" weight="solid">
        {say(M.begin)}
      </Button>
    </EntrySheet>
  );
}
