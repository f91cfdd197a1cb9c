import type { Text } from '@fulcrant/core/messages';
import { formatTorque, parseTorque } from '@fulcrant/core/units';
import { useState } from 'react';
import { useSettings } from '../../ui/settings.tsx';

/** What the wrench is set to: the torque wanted, until somebody types another. */
export function useWrenchAt(wantedNm: number | null): {
  text: string;
  setText: (text: string) => void;
  /** The torque in N·m, 0 by hand, or what is wrong with what is typed. */
  read: () => { nm: number } | { message: Text };
} {
  const { unit } = useSettings();
  const offered = wantedNm === null ? '' : formatTorque(wantedNm, unit);
  const [text, setText] = useState(offered);
  return {
    text,
    setText,
    read: () => {
      // Text left as it was offered is the very torque wanted, not its rounding.
      if (wantedNm === null || text === offered) return { nm: wantedNm ?? 0 };
      const typed = parseTorque(text, unit);
      return typed.ok ? { nm: typed.nm } : { message: typed.message };
    },
  };
}
