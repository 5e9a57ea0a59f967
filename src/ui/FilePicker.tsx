import { FileUp } from 'lucide-react';

interface Props {
  words: string;
  /** As an input's `accept`. */
  accept: string;
  primary?: boolean;
  /** Several may be chosen at once. */
  several?: boolean;
  onFiles: (files: readonly File[]) => void;
}

/** A button that asks for a file. */
export default function FilePicker({ words, accept, primary = false, several = false, onFiles }: Props) {
  return (
    <label className={`btn w-fit ${primary ? 'btn-primary' : ''}`}>
      <FileUp size={18} aria-hidden="true" /> {words}
      <input
        type="file"
        accept={accept}
        multiple={several}
        className="sr-only"
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          if (files.length > 0) onFiles(files);
          // The same file may be chosen again after it was put right.
          event.target.value = '';
        }}
      />
    </label>
  );
}
