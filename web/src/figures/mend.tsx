import type { Text } from '@fulcrant/core/messages';
import { createContext, type ReactNode, useContext } from 'react';
import { useSay } from '../ui/settings.tsx';
import { DrawnButton } from './DrawnButton.tsx';
import { M } from './messages.ts';

/** Takes back what was read at a place, so that it is read again; null where nothing may be mended. */
const MendContext = createContext<((place: string) => void) | null>(null);
export const MendProvider = MendContext;

/** Is what a figure shows touched to be mended? Its parts are then of a group, not of one picture. */
export const useMending = (): boolean => useContext(MendContext) !== null;

/** A value on a figure that is mended by touching it: said by its name, reached by the keyboard. */
export function Mendable({
  place,
  name,
  shown,
  children,
}: {
  /** Its key; null where nothing is read yet. */
  place: string | null;
  /** As a person calls it: “station 2 at 0°”. */
  name: Text;
  /** The value as it stands there, said with it. */
  shown?: string;
  children: ReactNode;
}) {
  const say = useSay();
  const mend = useContext(MendContext);
  if (!mend || place === null) return children;
  return (
    <DrawnButton
      name={`${shown ? say(M.mend({ shown })) : say(M.mend2)} ${say(name)}`}
      onPress={() => mend(place)}
      marks={{ 'data-mend': place }}
    >
      {children}
    </DrawnButton>
  );
}
