import type { Text } from '@fulcrant/core/messages';
import { Popover } from 'radix-ui';
import { useSay } from './settings.tsx';
import { explained } from './terms.ts';

/** A sentence whose terms say what they mean when they are touched. */
export function Explained({ children }: { children: Text }) {
  const say = useSay();
  return explained(say(children)).map((p) =>
    p.meaning ? (
      <Popover.Root key={p.text}>
        <Popover.Trigger
          className="cursor-help underline decoration-dotted underline-offset-4"
          data-term={p.text}
        >
          {p.text}
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            sideOffset={6}
            collisionPadding={12}
            className="z-50 max-w-80 border-2 border-rule bg-paper px-4 py-3 leading-snug text-ink"
            aria-label={say(p.meaning.title)}
          >
            <strong className="font-label text-lg font-semibold">{say(p.meaning.title)}.</strong>{' '}
            {say(p.meaning.said)}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    ) : (
      p.text
    ),
  );
}
