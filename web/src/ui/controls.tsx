import type { Text } from '@fulcrant/core/messages';
import { Dialog as RadixDialog } from 'radix-ui';
import type { ButtonHTMLAttributes, ReactNode } from 'react';
import { Words } from './settings.tsx';

type Weight = 'solid' | 'line' | 'bare' | 'stop';

const WEIGHTS: Record<Weight, string> = {
  solid: 'bg-ink text-paper border-ink disabled:bg-faint disabled:border-faint disabled:text-muted',
  line: 'bg-transparent text-ink border-ink disabled:border-faint disabled:text-muted',
  bare: 'bg-transparent text-steel border-transparent underline underline-offset-4 decoration-1 px-2',
  stop: 'bg-transparent text-stop border-stop',
};

/** A push button: at least 48 px tall, its label in the condensed sans. */
export function Button({
  weight = 'line',
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { weight?: Weight }) {
  return (
    <button
      type="button"
      {...rest}
      className={`min-h-12 border px-5 font-label text-lg font-semibold leading-tight ${WEIGHTS[weight]} ${className}`}
    />
  );
}

/** A dialog laid on the sheet like a second, smaller sheet. */
export function Dialog({
  open,
  onClose,
  title,
  children,
  wide = false,
}: {
  open: boolean;
  onClose: () => void;
  title: Text;
  children: ReactNode;
  wide?: boolean;
}) {
  return (
    <RadixDialog.Root open={open} onOpenChange={(o) => !o && onClose()}>
      <RadixDialog.Portal>
        <RadixDialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <RadixDialog.Content
          aria-describedby={undefined}
          // Back to the field where there is one: the hand goes on reading, not pressing what opened this.
          onCloseAutoFocus={(e) => {
            const field = document.querySelector<HTMLElement>('form[data-place] input');
            if (!field) return;
            e.preventDefault();
            field.focus({ preventScroll: true });
          }}
          className={`fixed left-1/2 top-1/2 z-50 max-h-[92dvh] w-[min(94vw,${wide ? '62rem' : '34rem'})] -translate-x-1/2 -translate-y-1/2 overflow-auto border-2 border-rule bg-paper p-6 text-ink`}
          style={{ width: `min(94vw, ${wide ? '62rem' : '34rem'})` }}
        >
          <RadixDialog.Title className="mb-4 text-2xl">
            <Words of={title} />
          </RadixDialog.Title>
          {children}
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}

/** A sentence beside what it is about. `role=alert` so that it is also said. */
export function Fault({ children, id }: { children: ReactNode; id?: string }) {
  return (
    <p id={id} role="alert" className="mt-1 flex gap-2 font-medium text-stop">
      <span aria-hidden="true">▲</span>
      <span>{children}</span>
    </p>
  );
}
