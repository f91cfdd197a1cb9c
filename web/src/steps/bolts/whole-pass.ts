import { useEffect, useSyncExternalStore } from 'react';

/** The form of a whole pass, which a button elsewhere on the sheet may tell. */
export const WHOLE_PASS = 'whole-pass';

let shown = 0;
const heard = new Set<() => void>();
const tell = (by: 1 | -1) => {
  shown += by;
  for (const h of heard) h();
};

/** A form that takes a whole pass stands on the page as long as this does. */
export function useShowsWholePass(): void {
  useEffect(() => {
    tell(1);
    return () => tell(-1);
  }, []);
}

/** Does a form that takes a whole pass stand on the page? Not where bolts are told one by one. */
export const useWholePassShown = (): boolean =>
  useSyncExternalStore(
    (changed) => {
      heard.add(changed);
      return () => heard.delete(changed);
    },
    () => shown > 0,
  );
