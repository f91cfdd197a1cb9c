import { COMMON } from '@fulcrant/core/messages';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useSession } from '../data/session.tsx';
import { Button } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { EntrySheet } from './EntrySheet.tsx';
import { M } from './messages.ts';

/** Somebody new, or somebody who forgot: a code from a lead hand and a password of their own choosing. */
export function CodePage() {
  const say = useSay();
  const { enter } = useSession();
  const [asked] = useSearchParams();
  const go = useNavigate();
  return (
    <EntrySheet
      title={say(COMMON.code)}
      says={say(M.leadHandGivesOutGood)}
      begin={{ name: asked.get('name') ?? '', code: '', password: '' }}
      rows={[
        { name: 'name', label: say(COMMON.nameText), more: { autoComplete: 'username', maxLength: 60 } },
        { name: 'code', label: say(M.code2), more: { autoCapitalize: 'characters', maxLength: 40 } },
        {
          name: 'password',
          label: say(COMMON.newPasswordTen),
          more: { type: 'password', autoComplete: 'new-password', maxLength: 200 },
        },
      ]}
      onEnter={async (text) => {
        await enter('/api/password/reset', text);
        await go('/');
      }}
    >
      <div className="flex flex-wrap items-center gap-4">
        <Button type="submit" weight="solid">
          {say(M.sign)}
        </Button>
        <Link to="/sign-in" className="flex min-h-12 items-center text-steel underline underline-offset-4">
          {say(M.iHavePassword)}
        </Link>
      </div>
    </EntrySheet>
  );
}
