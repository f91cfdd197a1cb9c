import { COMMON } from '@fulcrant/core/messages';
import { useEffect, useState } from 'react';
import { waitingPhoto } from '../data/photos.ts';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** A photograph: from this device while it waits here, else from the server; a sentence where it is with neither. */
export function Photo({ hash, words, className = '' }: { hash: string; words: string; className?: string }) {
  const say = useSay();
  /** Not asked for anywhere before it is known whether this device has it: without network the server’s answer is no answer. */
  const [src, setSrc] = useState<string | null>(null);
  const [missing, setMissing] = useState(false);
  useEffect(() => {
    let gone = false;
    let made: string | null = null;
    setSrc(null);
    setMissing(false);
    void waitingPhoto(hash)
      .catch(() => null)
      .then((address) => {
        made = address;
        if (!gone) setSrc(address ?? `/api/photos/${hash}`);
        else if (address) URL.revokeObjectURL(address);
      });
    return () => {
      gone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [hash]);
  if (missing)
    return (
      <p className="m-0 border border-faint p-3 text-sm text-muted">{say(M.photographHasNotArrivedWaits)}</p>
    );
  return src === null ? (
    <div className={`min-h-24 w-full border border-faint ${className}`} />
  ) : (
    <img
      src={src}
      alt={words || say(COMMON.photographStep)}
      className={`block max-h-72 w-full border border-faint object-contain ${className}`}
      onError={() => setMissing(true)}
      data-photo={hash.slice(0, 8)}
    />
  );
}
