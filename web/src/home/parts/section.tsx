import type { ReactNode } from 'react';

/** A part of the page of a family. */
export function Section({ title, about, children }: { readonly title: string; readonly about?: string; readonly children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      {about !== undefined && <p>{about}</p>}
      {children}
    </section>
  );
}
