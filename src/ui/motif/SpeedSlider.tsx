import { SPEEDS } from '../../core/machine';

interface Props {
  /** Stitches a minute. */
  speed: number;
  onSpeed: (speed: number) => void;
  /** What is said of it. */
  words: string;
}

/** How fast a motif is sewn. */
export default function SpeedSlider({ speed, onSpeed, words }: Props) {
  return (
    <label className="block">
      <span className="font-semibold">{words}</span>
      <input
        type="range"
        className="slider w-full"
        min={SPEEDS.min}
        max={SPEEDS.max}
        step={50}
        value={speed}
        aria-label="Stitches a minute"
        onChange={(event) => onSpeed(Number(event.target.value))}
      />
    </label>
  );
}
