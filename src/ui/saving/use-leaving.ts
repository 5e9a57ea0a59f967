import { useEffect } from 'react';

/**
 * Lets a page send what is open when it is left, and asks the person first when it may not arrive.
 *
 * @param leave sends it; says whether the person has to be asked
 */
export function useLeaving(leave: () => boolean): void {
  useEffect(() => {
    const ask = (event: BeforeUnloadEvent) => {
      if (leave()) event.preventDefault();
    };
    addEventListener('beforeunload', ask);
    return () => removeEventListener('beforeunload', ask);
  }, [leave]);
}
