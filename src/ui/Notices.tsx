import { useEffect } from 'react';
import { toast, Toaster } from 'sonner';
import { resendMoves } from './saving/outbox';
import { resend, resendUnsaved, type Resent } from './saving/resend';
import { tellUndo } from './undo-next';
import { forgetUnsaved } from './saving/unsaved';
import { useKeptFocus } from './use-kept-focus';

/** Says what became of a change that an earlier page could not get confirmed. */
function tell(result: Resent): void {
  if (result.kind === 'saved') {
    const [id] = result.address.split('/').slice(-1);
    // The page was made before the change arrived: it is shown as it is now.
    if (id && location.href.includes(id)) location.reload();
    else toast('A change that had not reached Nembrel is saved now.');
    return;
  }
  const { unsaved } = result;
  const drop = { label: 'Drop it', onClick: () => forgetUnsaved(unsaved.address) };
  if (result.kind === 'refused') {
    toast.error(`A change from before could not be saved. ${result.why}`, { duration: Infinity, action: drop });
    return;
  }
  toast('A change from before was not saved, and the same was changed elsewhere meanwhile.', {
    duration: Infinity,
    action: { label: 'Save mine over it', onClick: () => void resend(unsaved, result.current.version).then((r) => r && tell(r)) },
    cancel: drop,
  });
}

/** Where short notices with their Undo appear; on every page, so that it also keeps the focus and follows the machine's own theme. */
export default function Notices() {
  useKeptFocus();
  useEffect(() => {
    void resendUnsaved().then((results) => results.forEach(tell));
    tellUndo();
    return resendMoves((why) => toast.error(`Something that was done before could not be kept. ${why}`, { duration: Infinity }));
  }, []);
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
