import { useEffect, useRef } from 'react';

interface Props {
  title: string;
  /** What would be lost. */
  words: string;
  /** What is done when the person says so. */
  yes: string;
  onYes: () => void;
  onClose: () => void;
}

/** Asked before work would be lost that Undo alone does not bring back to the hands. */
export default function AskDialog({ title, words, yes, onYes, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog ref={dialog} className="modal" aria-label={title} onClose={onClose}>
      <div className="modal-box">
        <h2 className="text-xl font-bold">{title}</h2>
        <p className="mt-2">{words}</p>
        <div className="mt-4 flex flex-wrap justify-end gap-3">
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Leave it as it is
          </button>
          <button
            type="button"
            className="btn btn-primary"
            onClick={() => {
              dialog.current?.close();
              onYes();
            }}
          >
            {yes}
          </button>
        </div>
      </div>
    </dialog>
  );
}
