import type { ReactNode } from 'react';

interface Props {
  label: string;
  disabled?: boolean;
  onClick: () => void;
  /** The icon, hidden from readers: the label says what it does. */
  children: ReactNode;
}

/** A button that shows an icon alone. */
export default function IconButton({ label, disabled = false, onClick, children }: Props) {
  return (
    <button type="button" className="btn btn-icon" aria-label={label} title={label} disabled={disabled} onClick={onClick}>
      {children}
    </button>
  );
}
