import type { ReactNode } from 'react';

/** A part of what an outage is made of, under its heading. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="min-w-0">
      <h2 className="kicker m-0 mb-2 border-b border-rule pb-1">{title}</h2>
      {children}
    </section>
  );
}
