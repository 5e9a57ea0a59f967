import { lazy, useEffect, type ComponentType, type LazyExoticComponent } from 'react';
import { toast } from 'sonner';

/**
 * A part of a page that is fetched when it is first shown, such as a form or a chart. One that cannot be fetched, not at the second try either, says
 * so, and the rest of the page goes on as it is.
 */
export function fetched<P>(load: () => Promise<{ default: ComponentType<P> }>): LazyExoticComponent<ComponentType<P>> {
  return lazy(() =>
    load()
      .catch(load)
      .catch(() => ({ default: NotFetched })),
  );
}

function NotFetched() {
  useEffect(() => {
    toast.error('This could not be fetched: the house did not answer. What you typed is kept.', {
      id: 'not-fetched',
      duration: Infinity,
      action: { label: 'Load the page again', onClick: () => location.reload() },
    });
  }, []);
  return null;
}
