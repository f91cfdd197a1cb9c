import type { Text } from '@fulcrant/core/messages';
import { Popover } from 'radix-ui';
import { M } from './messages.ts';
import { useSay, Words } from './settings.tsx';

/** Why a step is there, at a touch: for whoever does it the first time. */
export function Why({ title, children }: { title: Text; children: Text }) {
  const say = useSay();
  return (
    <Popover.Root>
      <Popover.Trigger
        className="-my-3.5 inline-block cursor-help px-2 py-3.5 text-steel underline decoration-dotted underline-offset-4"
        aria-label={say(M.why({ title }))}
        data-why
      >
        {say(M.why2)}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          align="start"
          collisionPadding={12}
          className="z-50 max-w-[34rem] border-2 border-rule bg-paper px-5 py-4 text-lg leading-snug text-ink"
          aria-label={say(M.why3({ title }))}
        >
          <p className="kicker m-0 mb-1">{say(M.why3({ title }))}</p>
          <Words of={children} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
