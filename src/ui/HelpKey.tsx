import { Keyboard } from 'lucide-react';
import { useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';

interface Props {
  shortcuts: [keys: string, does: string][];
}

const EVERYWHERE: [string, string][] = [
  ['/', 'search everything'],
  ['?', 'this list'],
  ['Tab', 'to the next thing that can be touched'],
  ['Esc', 'close what is open'],
];

/** The list of shortcuts for the screen in hand, on `?` or by its button. */
export default function HelpKey({ shortcuts }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  // By the character, wherever a keyboard has it.
  useHotkeys('*', (event) => {
    if (event.key === '?' && !dialog.current?.open) dialog.current?.showModal();
  });
  return (
    <>
      <button
        type="button"
        className="btn btn-ghost px-3 max-sm:hidden"
        onClick={() => dialog.current?.showModal()}
        aria-label="Shortcuts of this screen"
      >
        <Keyboard size={20} aria-hidden="true" />
      </button>
      <dialog ref={dialog} className="modal" aria-label="Shortcuts">
        <div className="modal-box">
          <h2 className="chalk-heading mb-3">Shortcuts on this screen</h2>
          <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
            {[...shortcuts, ...EVERYWHERE].map(([keys, does]) => (
              <div key={keys} className="contents">
                <dt>
                  <kbd className="kbd">{keys}</kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <form method="dialog" className="mt-5">
            <button className="btn">Close</button>
          </form>
        </div>
        <form method="dialog" className="modal-backdrop">
          <button aria-label="Close">close</button>
        </form>
      </dialog>
    </>
  );
}
