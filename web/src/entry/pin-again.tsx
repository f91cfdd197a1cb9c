import type { Text } from '@fulcrant/core/messages';
import { type ReactNode, useState } from 'react';
import { faultsOf } from '../data/asked.ts';
import { checkPin } from '../data/pin.ts';
import { useSession } from '../data/session.tsx';
import { signedInByPin } from '../data/signed-by.ts';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

/**
 * The PIN once more, before a signature: whoever took over by PIN says it again, so that a tablet left lying signs nothing.
 * @returns the field to show, null where none is asked; and the check, null where it is right, else what is wrong
 */
export function usePinAgain(): { field: ReactNode; check: () => Promise<Text | null> } {
  const { person } = useSession();
  const [pin, setPin] = useState('');
  if (!signedInByPin(person)) return { field: null, check: async () => null };
  return {
    field: (
      <TextField
        strong
        label={M.yourPin}
        type="password"
        inputMode="numeric"
        autoComplete="off"
        maxLength={6}
        value={pin}
        onText={setPin}
        data-pin
      />
    ),
    check: async () => {
      try {
        await checkPin(pin);
        return null;
      } catch (error) {
        return Object.values(faultsOf(error, M.signingByPinNeedsServer))[0] ?? M.signingByPinNeedsServer;
      }
    },
  };
}
