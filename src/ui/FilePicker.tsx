import { FileUp } from 'lucide-react';

interface Props {
  words: string;
  /** As an input's `accept`. */
  accept: string;
  primary?: boolean;
  onFile: (file: File) => void;
}

/** A button that asks for a file. */
export default function FilePicker({ words, accept, primary = false, onFile }: Props) {
  return (
    <label className={`btn w-fit ${primary ? 'btn-primary' : ''}`}>
      <FileUp size={18} aria-hidden="true" /> {words}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onFile(file);
          // The same file may be chosen again after it was put right.
          event.target.value = '';
        }}
      />
    </label>
  );
}
