import { InputError, shown } from '../../core/input-error';
import { COMMANDS, MotifBuilder, type Motif } from '../../core/motif';
import type { ReadMotif } from './read-exchange';

/** First line of our open text format. */
const HEAD = '# nembrel motif 1';
/** What a line may be called, with what others write for the same. */
const WORDS = new Map<string, number>([
  ...COMMANDS.map((command, i): [string, number] => [command, i]),
  ['move', 1],
  ['cut', 2],
  ['stop', 3],
  ['color', 3],
]);
/** No place lies farther from the start, mm. */
const FARTHEST = 10_000;
/** Longest line, characters. */
const LONGEST_LINE = 400;

/** Whether a text begins like a table of stitches. */
export function looksLikeStitchTable(text: string): boolean {
  return /^﻿?(#[^\n]*\r?\n\s*)*x_mm *[,;\t] *y_mm *[,;\t] *command/i.test(text.slice(0, 4000));
}

/**
 * Reads a table of stitches: `x_mm,y_mm,command`, one record a line, `end` last.
 *
 * @throws {InputError} naming the line
 */
export function readStitchTable(text: string): ReadMotif {
  const records = new MotifBuilder();
  let name = '';
  let ended = false;
  let headed = false;
  let number = 0;
  let from = text.charCodeAt(0) === 0xfeff ? 1 : 0;
  while (from < text.length && !ended) {
    let to = text.indexOf('\n', from);
    if (to < 0) to = text.length;
    const line = text.slice(from, Math.min(to, from + LONGEST_LINE)).trim();
    from = to + 1;
    number++;
    if (line === '') continue;
    if (line.startsWith('#')) {
      name = /^# *name: *(.*)$/.exec(line)?.[1]?.slice(0, 60) ?? name;
      continue;
    }
    if (!headed) {
      headed = true;
      if (looksLikeStitchTable(`${line}\n`)) continue;
      throw new InputError('file', `must begin with the headings x_mm,y_mm,command, saw ${shown(line)}`);
    }
    const [xText = '', yText = '', word = ''] = line.split(/[,;\t]/);
    const command = word.trim().toLowerCase();
    if (command === 'end') {
      ended = true;
      break;
    }
    const code = WORDS.get(command);
    if (code === undefined)
      throw new InputError(
        'file',
        `has an unknown command in line ${number}: ${shown(word.trim())}; known are ${COMMANDS.join(', ')} and end`,
      );
    records.add(code, place(xText, 'x_mm', number), place(yText, 'y_mm', number));
  }
  if (!headed) throw new InputError('file', 'is empty');
  return {
    motif: records.motif(name),
    incomplete: !ended,
    warnings: ended ? [] : ['The table has no line that says end: the last part of the motif may be missing.'],
  };
}

function place(text: string, column: string, line: number): number {
  const value = text.trim() === '' ? NaN : Number(text);
  if (!Number.isFinite(value) || Math.abs(value) > FARTHEST)
    throw new InputError('file', `must have a number of millimetres in ${column} of line ${line}, saw ${shown(text.trim())}`);
  return value;
}

/** Writes a motif as a table of stitches; reading it gives the same motif to the last digit. */
export function writeStitchTable({ name, x, y, command }: Motif): string {
  const lines = [HEAD, `# name: ${name.replace(/[\r\n]/g, ' ')}`, 'x_mm,y_mm,command'];
  for (let i = 0; i < command.length; i++) lines.push(`${x[i]},${y[i]},${COMMANDS[command[i]!]}`);
  return `${lines.join('\n')}\n,,end\n`;
}
