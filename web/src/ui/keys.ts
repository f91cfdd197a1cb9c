import { useEffect } from 'react';
import { useLatest } from './use-latest.ts';

/** What a key of the sheet does, which key it is, and how it is said. */
const KEYS = {
  take: [' ', 'take what the paired gauge shows (field empty)'],
  units: ['F2', 'mm or inch'],
  light: ['F4', 'day or night'],
  withdraw: ['F8', 'withdraw the last reading'],
  pass: ['F9', 'on to the next step'],
  keys: ['?', 'this list'],
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
export const SAID: ReadonlyArray<readonly [string, string]> = [
  ['Enter', 'store the reading, go to the next place'],
  ['Tab', 'to the next control'],
  ['← →', 'on the clock face: turn by 5°, with Shift by 1°'],
  ['Esc', 'close what is laid on top'],
  ...Object.values(KEYS).map(([key, does]) => [key === ' ' ? 'Space' : key, does] as const),
];
