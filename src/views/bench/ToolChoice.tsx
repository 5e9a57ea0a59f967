import { PRESS_TOOLS, type PressTool } from '../../core/press';
import type { Settings } from '../../store/settings';

const WORDS: Record<PressTool, string> = { iron: 'with the iron', press: 'under the flat press' };

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
      {PRESS_TOOLS.map((value) => (
        <label key={value} className="flex min-h-[44px] cursor-pointer items-center gap-2 font-semibold">
          <input
            type="radio"
            name="tool"
            className="radio radio-primary"
            checked={tool === value}
            onChange={() => onChoose(value)}
          />
          {WORDS[value]}
        </label>
      ))}
    </fieldset>
  );
}
