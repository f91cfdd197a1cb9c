import { Link, useNavigate, useSearchParams } from 'react-router';
import { useSession } from '../data/session.tsx';
import { Button } from '../ui/controls.tsx';
import { EntrySheet } from './EntrySheet.tsx';

/** Somebody new, or somebody who forgot: a code from a lead hand and a password of their own choosing. */
export function CodePage() {
  const { enter } = useSession();
  const [asked] = useSearchParams();
  const go = useNavigate();
  return (
    <EntrySheet
      title="In by a code"
      says="A lead hand gives it out; it is good once."
      begin={{ name: asked.get('name') ?? '', code: '', password: '' }}
      rows={[
        { name: 'name', label: 'Name', more: { autoComplete: 'username', maxLength: 60 } },
        { name: 'code', label: 'Code', more: { autoCapitalize: 'characters', maxLength: 40 } },
        {
          name: 'password',
          label: 'A password of your own, ten characters or more',
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
          Sign in with it
        </Button>
        <Link to="/sign-in" className="flex min-h-12 items-center text-steel underline underline-offset-4">
          I have a password
        </Link>
      </div>
    </EntrySheet>
  );
}
