import type { JobState } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { useState } from 'react';
import { Photo } from '../entry/Photo.tsx';
import { TakePhoto } from '../entry/TakePhoto.tsx';
import { Dialog } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

/** Photographs of a step: those there, and one more from the camera or a file, with a word on what it shows. */
export function PhotosDialog({
  open,
  onClose,
  state,
  step,
  title,
  onPhoto,
}: {
  open: boolean;
  onClose: () => void;
  state: JobState;
  step: string;
  title: Text;
  /** Put one on the sheet; null where nothing may be put there. */
  onPhoto:
    | ((photo: { hash: string; words: string; width: number; height: number }) => Promise<Text | null>)
    | null;
}) {
  const say = useSay();
  const [words, setWords] = useState('');
  const photos = state.photos.filter((p) => p.step === step);
  return (
    <Dialog open={open} onClose={onClose} title={say(M.photographs({ title }))} wide>
      {onPhoto && (
        <div className="flex flex-wrap items-end gap-4 border-b border-faint pb-4">
          <div className="min-w-60 flex-1">
            <TextField label={say(M.whatShowsFewWords)} value={words} onText={setWords} maxLength={300} />
          </div>
          <TakePhoto
            onTaken={async (kept) => {
              const refusal = await onPhoto({ ...kept, words: words.trim() });
              if (!refusal) setWords('');
              return refusal;
            }}
          />
        </div>
      )}
      {photos.length === 0 && <p className="text-muted">{say(M.noneStepYet)}</p>}
      <ul className="m-0 mt-3 grid list-none gap-4 p-0 sm:grid-cols-2 lg:grid-cols-3">
        {photos.map((p) => (
          <li key={p.id}>
            <Photo hash={p.hash} words={p.words} />
            <p className="m-0 text-sm">
              {p.words} <span className="text-muted">{p.author.name}</span>
            </p>
          </li>
        ))}
      </ul>
      <p className="mb-0 mt-4 text-sm text-muted">{say(M.madeSmallerHereWithoutPlace)}</p>
    </Dialog>
  );
}
