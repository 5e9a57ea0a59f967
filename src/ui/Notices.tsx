import { useEffect } from 'react';
import { Toaster } from 'sonner';

/** Where short notices with their Undo appear; also follows the machine's own theme when asked to. */
export default function Notices() {
  useEffect(() => {
    const root = document.documentElement;
    if (root.dataset['systemTheme'] !== 'yes') return undefined;
    const dark = matchMedia('(prefers-color-scheme: dark)');
    const follow = () => {
      root.dataset['theme'] = dark.matches ? 'lamplight' : 'workroom';
    };
    follow();
    dark.addEventListener('change', follow);
    return () => dark.removeEventListener('change', follow);
  }, []);
  return (
    <Toaster
      position="bottom-center"
      duration={8000}
      toastOptions={{
        style: {
          background: 'var(--color-neutral)',
          color: 'var(--color-neutral-content)',
          border: 0,
          fontSize: '1rem',
          fontFamily: 'inherit',
        },
      }}
    />
  );
}
