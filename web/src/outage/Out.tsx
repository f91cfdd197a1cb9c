import { Button } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** Leave one of a list out; its name tells the ear which. */
export const Out = ({ what, onOut }: { what: string; onOut: () => void }) => {
  const say = useSay();
  return (
    <Button weight="bare" aria-label={say(M.out2({ what }))} onClick={onOut}>
      {say(M.out3)}
    </Button>
  );
};
