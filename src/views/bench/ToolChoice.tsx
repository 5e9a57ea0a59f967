import type { Settings } from '../../store/settings';

export type PressTool = 'iron' | 'press';

interface Props {
  tool: PressTool;
  onChoose: (tool: PressTool) => void;
}

/** Whether there is a flat press to choose. */
export function hasPress({ pressLength, pressWidth }: Pick<Settings, 'pressLength' | 'pressWidth'>): boolean {
  return pressLength > 0 && pressWidth > 0;
}

/** With what it is pressed; shown where there is a flat press beside the iron. */
export default function ToolChoice({ tool, onChoose }: Props) {
  return (
    <fieldset className="flex items-center gap-4">
      <legend className="sr-only">Pressed with</legend>
      {(
        [
          ['iron', 'with the iron'],
          ['press', 'under the flat press'],
        ] as const
      ).map(([value, words]) => (
        <label key={value} className="flex min-h-[44px] cursor-pointer items-center gap-2 font-semibold">
          <input
            type="radio"
            name="tool"
            className="radio radio-primary"
            checked={tool === value}
            onChange={() => onChoose(value)}
          />
          {words}
        </label>
      ))}
    </fieldset>
  );
}
