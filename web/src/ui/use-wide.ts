import { useSyncExternalStore } from 'react';

const WIDE = '(min-width: 1024px)';
const watch = (told: () => void) => {
  const query = matchMedia(WIDE);
  query.addEventListener('change', told);
  return () => query.removeEventListener('change', told);
};

/** Is there room for a column beside the middle of the sheet? */
export const useWide = (): boolean => useSyncExternalStore(watch, () => matchMedia(WIDE).matches);
