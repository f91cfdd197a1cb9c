import type { Text } from '@fulcrant/core/messages';
import type { Feel, Shown } from '@fulcrant/practice';
import { useSay, Words } from '../ui/settings.tsx';
import { GaugeFace } from './GaugeFace.tsx';
import { M } from './messages.ts';

/** How far a blade goes in, share of the way, and how it is said. */
const PUSHED: Record<Feel, readonly [share: number, words: Text]> = {
  goes: [1, M.goesThrough],
  snug: [0.58, M.snugDrags],
  'will not': [0.06, M.willNotGo],
};

/** One for the page: to make one takes longer than a frame. Null until the first push, and where there is no sound. */
let sound: AudioContext | null = null;

/** What a feel is to the hand: a buzz where the device has one, a short sound where it lets it; after the feel is drawn. */
export function feelIt(feel: Feel): void {
  navigator.vibrate?.(feel === 'goes' ? 8 : feel === 'snug' ? [18, 12, 18] : 70);
  setTimeout(() => sounded(feel === 'goes' ? 520 : feel === 'snug' ? 240 : 90));
}

function sounded(hertz: number): void {
  try {
    sound ??= new AudioContext();
    const [voice, loud] = [sound.createOscillator(), sound.createGain()];
    voice.frequency.value = hertz;
    loud.gain.setValueAtTime(0.05, sound.currentTime);
    loud.gain.exponentialRampToValueAtTime(0.0005, sound.currentTime + 0.09);
    voice.connect(loud).connect(sound.destination);
    voice.start();
    voice.stop(sound.currentTime + 0.1);
  } catch {
    // No sound here; the hand and the drawing say it too.
  }
}

/** A blade between two parts, as far in as it went. The gap is drawn the same whatever it is: its size is for the hand to find. */
function Blade({ feel }: { feel: Feel }) {
  const [share, words] = PUSHED[feel];
  const tip = 30 + 200 * share;
  const say = useSay();
  return (
    <svg viewBox="0 0 300 112" className="block w-full" role="img" aria-label={say(words)}>
      <path
        d="M60 8h180v40H60z M60 64h180v40H60z"
        fill="var(--shade)"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
      <path
        d="M66 14l28 28M96 12l30 32M128 12l30 32M160 12l30 32M192 12l30 32M66 70l28 28M96 68l30 32M128 68l30 32M160 68l30 32M192 68l30 32"
        stroke="var(--faint)"
      />
      <path
        d={`M0 51H${tip}q6 5 0 10H0z`}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="1.8"
        data-blade={feel}
      />
      {feel === 'snug' && (
        <path
          d={`M${tip - 60} 46l8 -4m6 4l8 -4m6 4l8 -4M${tip - 60} 66l8 4m6 -4l8 4m6 -4l8 4`}
          stroke="var(--brass)"
          strokeWidth="2"
          fill="none"
        />
      )}
      {feel === 'will not' && (
        <path d="M14 40l14 10M14 72l14 -10" stroke="var(--brass)" strokeWidth="2.4" fill="none" />
      )}
    </svg>
  );
}

/** The nut’s face with the spanner’s slot, turned as far as the blows took it; the mark at the top is where it stood snug. */
function Nut({ deg }: { deg: number }) {
  const say = useSay();
  const slots = [0, 90, 180, 270];
  return (
    <svg
      viewBox="0 0 200 200"
      className="mx-auto block w-44"
      role="img"
      aria-label={say(M.nutTurnedDegrees({ deg }))}
    >
      <path d="M100 2v16" stroke="var(--brass)" strokeWidth="3" />
      <g transform={`rotate(${deg} 100 100)`}>
        <circle cx="100" cy="100" r="76" fill="var(--shade)" stroke="var(--ink)" strokeWidth="2" />
        <circle cx="100" cy="100" r="46" fill="var(--paper)" stroke="var(--ink)" strokeWidth="2" />
        {slots.map((s) => (
          <path
            key={s}
            d="M91 22h18v15h-18z"
            transform={`rotate(${s} 100 100)`}
            fill="var(--paper)"
            stroke="var(--ink)"
            strokeWidth="1.6"
          />
        ))}
        <path d="M100 38v14" stroke="var(--ink)" strokeWidth="3" />
      </g>
    </svg>
  );
}

/** What the hand, the eye or the gauge tells: drawn where the real thing is read by eye, in figures where it has figures itself. */
export function Tool({ shown, decimals }: { shown: Shown; decimals: number }) {
  const say = useSay();
  switch (shown.kind) {
    case 'feel':
      return (
        <div>
          <Blade feel={shown.feel} />
          <p className="m-0 text-center font-label text-lg font-semibold" role="status">
            <Words of={PUSHED[shown.feel][1]} />
          </p>
        </div>
      );
    case 'dial':
      return (
        <div>
          <GaugeFace
            face={{ kind: 'dial', divisions: 100, perDivision: 0.01, unit: 'mm', value: shown.mm }}
          />
          {/* A whole turn is a millimetre: how many there were is the small hand’s to say. */}
          {shown.mm >= 1 && (
            <p className="m-0 text-center text-muted">
              {say(M.smallHandStands({ mm: Math.floor(shown.mm) }))}
            </p>
          )}
        </div>
      );
    case 'digits':
      return (
        <p
          className="figures m-0 border border-ink bg-shade px-3 py-4 text-right text-4xl"
          role="status"
          data-digits
        >
          {shown.value.toFixed(decimals)}
        </p>
      );
    case 'nut':
      return <Nut deg={shown.deg} />;
    case 'pump':
      return (
        <p className="m-0 grid grid-cols-2 gap-3 text-center" role="status">
          <span className="border border-ink bg-shade px-2 py-3">
            <span className="figures block text-3xl">{shown.mpa.toFixed(1)}</span>
            <span className="text-sm text-muted">{say(M.mPaPump)}</span>
          </span>
          <span className="border border-ink bg-shade px-2 py-3">
            <span className="figures block text-3xl">{shown.mm.toFixed(2)}</span>
            <span className="text-sm text-muted">{say(M.mmFaceMoved)}</span>
          </span>
        </p>
      );
    case 'click':
      return (
        <p className="m-0 font-label text-lg font-semibold" role="status">
          {shown.jerked ? say(M.clickedEarlyJerked) : say(M.clicks)}
        </p>
      );
    case 'seen':
      return null;
    case 'done':
      return (
        <p className="m-0 text-muted" role="status">
          <Words of={shown.text} />
        </p>
      );
  }
}
