import type { Text } from '@fulcrant/core/messages';
import { Camera } from 'lucide-react';
import { useRef, useState } from 'react';
import { takePhoto } from '../data/photos.ts';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/**
 * A photograph from the camera or a file: made small and kept on this device first.
 * @param onTaken puts it where it belongs; resolves to why it may not be there, or null
 */
export function TakePhoto({
  onTaken,
}: {
  onTaken: (photo: Awaited<ReturnType<typeof takePhoto>>) => Promise<Text | null>;
}) {
  const say = useSay();
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
      setFault(say(M.noPictureDeviceCanRead));
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
        aria-label={say(M.photographFromCameraFile)}
        onChange={(e) => void take(e.target.files?.[0])}
      />
      <Button
        weight="solid"
        disabled={busy}
        onClick={() => file.current?.click()}
        className="inline-flex items-center gap-2"
      >
        <Camera aria-hidden="true" size={20} /> {busy ? say(M.makingSmaller) : say(M.takeChooseOne)}
      </Button>
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
    </>
  );
}
