import { useNavigate } from 'react-router';
import { useSession } from '../data/session.tsx';
import { Button } from '../ui/controls.tsx';
import { EntrySheet } from './EntrySheet.tsx';

/** Nobody leads this plant yet: its first visitor names it and becomes its lead hand, by the code in the console. */
export function FirstVisitPage() {
  const { enter } = useSession();
  const go = useNavigate();
  return (
    <EntrySheet
      title="A plant with nothing in it yet"
      says="You name it, and lead it. Everybody else is added by you."
      begin={{ code: '', site: '', name: '', password: '' }}
      rows={[
        {
          name: 'code',
          label: 'Code, printed where Fulcrant was started',
          more: { autoCapitalize: 'characters' },
        },
        { name: 'site', label: 'The site is called' },
        {
          name: 'name',
          label: 'Your name, as it will stand on sheets',
          more: { autoComplete: 'username', maxLength: 60 },
        },
        {
          name: 'password',
          label: 'Your password, ten characters or more',
          more: { type: 'password', autoComplete: 'new-password', maxLength: 200 },
        },
      ]}
      onEnter={async (text) => {
        await enter('/api/first-visit', text);
        await go('/plant');
      }}
    >
      <Button type="submit" weight="solid">
        Begin
      </Button>
    </EntrySheet>
  );
}
