import type { ReactNode } from 'react';

/** The answer to “why?” beside a figure: folded away until it is asked. */
export default function Why({ title, children }: { title: string; children: ReactNode }) {
  return (
    <details className="mt-1">
      <summary className="inline-flex min-h-[44px] cursor-pointer items-center font-semibold text-primary underline decoration-2 underline-offset-4">
        {title}
      </summary>
      <div className="space-y-2 border-l-4 border-primary/50 py-1 pl-3 text-[0.95rem]">{children}</div>
    </details>
  );
}
