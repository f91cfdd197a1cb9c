import { type RefObject, useLayoutEffect, useRef } from 'react';

/** What was last rendered, for what happens later: written once the rendering stands, never while it is made. */
export function useLatest<T>(value: T): RefObject<T> {
  const ref = useRef(value);
  useLayoutEffect(() => {
    ref.current = value;
  });
  return ref;
}
