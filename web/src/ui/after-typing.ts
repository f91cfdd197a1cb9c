import { startTransition, useCallback, useEffect, useRef } from 'react';

/** The shortest pause, ms: not felt; and the longest: less than between two numbers. */
const SHORTEST_MS = 40;
const LONGEST_MS = 400;
/** A pause is so many times as long as the sheet last took to be drawn: on a slow device it is drawn between numbers, not between keys. */
const TIMES = 3;

/**
 * Give something on once nobody types for a moment: a key is echoed at once, and what the number means for the sheet is drawn after
 * the last of its digits, not at each. Of several given in the meantime only the last goes on.
 */
export function useAfterTyping<T>(then: (value: T) => void): (value: T) => void {
  const waits = useRef<ReturnType<typeof setTimeout>>(undefined);
  const began = useRef(0);
  const took = useRef(0);
  useEffect(() => () => clearTimeout(waits.current), []);
  // After each drawing: how long it took from when it was asked for.
  useEffect(() => {
    if (began.current > 0) took.current = performance.now() - began.current;
    began.current = 0;
  });
  return useCallback(
    (value: T) => {
      clearTimeout(waits.current);
      waits.current = setTimeout(
        () => {
          began.current = performance.now();
          startTransition(() => then(value));
        },
        Math.min(LONGEST_MS, Math.max(SHORTEST_MS, TIMES * took.current)),
      );
    },
    [then],
  );
}
