import { useSyncExternalStore } from 'react';

/** A hook that tells whether a media query holds, and follows it. */
function followed(query: string): () => boolean {
  const watch = (told: () => void) => {
    const list = matchMedia(query);
    list.addEventListener('change', told);
    return () => list.removeEventListener('change', told);
  };
  const holds = () => matchMedia(query).matches;
  return () => useSyncExternalStore(watch, holds);
}

/** Is there room for a column beside the middle of the sheet? */
export const useWide = followed('(min-width: 1024px)');

/** Do the keys stand beside the field, and not under it? */
export const useBeside = followed('(min-width: 768px)');
