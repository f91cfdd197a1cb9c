import type { ReactNode } from 'react';

/** A name to be seen above what carries its own name for those who hear it. */
export function Named({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="flex min-w-0 flex-col">
      <span className="kicker" aria-hidden="true">
        {name}
      </span>
      {children}
    </div>
  );
}
