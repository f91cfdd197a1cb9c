import type { Text } from '@fulcrant/core/messages';
import { Camera } from 'lucide-react';
import { useRef, useState } from 'react';
import { takePhoto } from '../data/photos.ts';
import { Button, Fault } from '../ui/controls.tsx';
import { Words } from '../ui/settings.tsx';

/**
 * A photograph from the camera or a file: made small and kept on this device first.
 * @param onTaken puts it where it belongs; resolves to why it may not be there, or null
 */
export function TakePhoto({
  onTaken,
}: {
  onTaken: (photo: Awaited<ReturnType<typeof takePhoto>>) => Promise<Text | null>;
}) {
  const file = useRef<HTMLInputElement>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const [busy, setBusy] = useState(false);
  const take = async (taken: File | undefined) => {
    if (!taken) return;
    setBusy(true);
    setFault(null);
    try {
      setFault(await onTaken(await takePhoto(taken)));
    } catch {
      setFault(
        'That is no picture this device can read, or it has no room to keep it. Nothing was put on the sheet.',
      );
    } finally {
      setBusy(false);
      if (file.current) file.current.value = '';
    }
  };
  return (
    <>
      <input
        ref={file}
        type="file"
        accept="image/*"
        capture="environment"
        className="sr-only"
        aria-label="Photograph from camera or file"
        onChange={(e) => void take(e.target.files?.[0])}
      />
      <Button
        weight="solid"
        disabled={busy}
        onClick={() => file.current?.click()}
        className="inline-flex items-center gap-2"
      >
        <Camera aria-hidden="true" size={20} /> {busy ? 'Making it smaller …' : 'Take or choose one'}
      </Button>
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
    </>
  );
}
