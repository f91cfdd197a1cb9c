import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useEffect, useRef, useState } from 'react';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** Pictures looked at in a second: a hand holds still that long. */
const LOOK_MS = 180;

/** The tablet’s camera on a label: the first code that is one of ours opens its position. */
export function ScanDialog({ onClose, onLabel }: { onClose: () => void; onLabel: (label: string) => void }) {
  const say = useSay();
  const video = useRef<HTMLVideoElement>(null);
  const [fault, setFault] = useState<Text | null>(null);
  useEffect(() => {
    let stopped = false;
    let stream: MediaStream | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const canvas = document.createElement('canvas');
    const look = async () => {
      const { default: read } = await import('jsqr');
      const draw = canvas.getContext('2d', { willReadFrequently: true });
      const again = () => {
        if (stopped) return;
        const shown = video.current;
        if (shown && draw && shown.videoWidth > 0) {
          canvas.width = shown.videoWidth;
          canvas.height = shown.videoHeight;
          draw.drawImage(shown, 0, 0);
          const { data, width, height } = draw.getImageData(0, 0, canvas.width, canvas.height);
          const label = /\/p\/([A-Z2-9]{6})$/i.exec(read(data, width, height)?.data ?? '')?.[1];
          if (label) {
            stopped = true;
            onLabel(label);
            onClose();
            return;
          }
        }
        timer = setTimeout(again, LOOK_MS);
      };
      again();
    };
    (async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
        if (stopped || !video.current) return;
        video.current.srcObject = stream;
        await video.current.play();
        await look();
      } catch {
        setFault(say(M.noCameraCanUsedHere));
      }
    })();
    return () => {
      stopped = true;
      clearTimeout(timer);
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, [onLabel, onClose, say]);
  return (
    <Dialog open onClose={onClose} title={say(M.holdLabelBeforeCamera)}>
      {fault ? (
        <Fault>
          <Words of={fault} />
        </Fault>
      ) : (
        <video ref={video} playsInline muted className="w-full border border-faint" />
      )}
      <Button className="mt-4" onClick={onClose}>
        {say(COMMON.leave)}
      </Button>
    </Dialog>
  );
}
