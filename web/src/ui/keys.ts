import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useEffect } from 'react';
import { M } from './messages.ts';
import { useLatest } from './use-latest.ts';

/** What a key of the sheet does, which key it is, and how it is said. */
const KEYS = {
  take: [' ', M.takeWhatPairedGaugeShows],
  units: ['F2', M.mmInch],
  light: ['F4', M.dayNight],
  withdraw: ['F8', M.withdrawLastReading],
  pass: ['F9', M.nextStep],
  keys: ['?', M.list],
} as const;
export type KeyAct = keyof typeof KEYS;
const ACTS = Object.keys(KEYS) as KeyAct[];

/** Keys that are also typed: they mean the sheet only outside a field. */
const TYPED: readonly KeyAct[] = ['keys', 'take'];

const isTyping = (target: EventTarget | null, act: KeyAct): boolean =>
  act === 'take'
    ? target !== document.body
    : target instanceof Element && target.closest('textarea, input:not([inputmode])') !== null;

/** What a key means now; null where it is somebody else's. */
export function actOf(
  e: Pick<KeyboardEvent, 'key' | 'altKey' | 'ctrlKey' | 'metaKey' | 'target'>,
): KeyAct | null {
  const act = ACTS.find((a) => KEYS[a][0] === e.key);
  if (!act || e.altKey || e.ctrlKey || e.metaKey) return null;
  return TYPED.includes(act) && isTyping(e.target, act) ? null : act;
}

/** Do something at a key while this stands on the page; `false` says it was not for us. */
export function useKeys(does: Partial<Record<KeyAct, () => unknown>>): void {
  const now = useLatest(does);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const meant = actOf(e);
      const act = meant === null ? undefined : now.current[meant];
      if (act && act() !== false) e.preventDefault();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [now]);
}

/** Every key, as it is said: the sheet's own, and those a field or a dialog has anyway. */
export const SAID: ReadonlyArray<readonly [Text, Text]> = [
  [M.enter, M.storeReadingGoNextPlace],
  [M.tab, M.nextControl],
  ['← →', M.clockFaceTurn5Shift],
  [M.esc, M.closeWhatLaidTop],
  ...Object.values(KEYS).map(([key, does]) => [key === ' ' ? COMMON.space : key, does] as const),
];
