import { SaxesParser } from 'saxes';
import { InputError } from '../../core/input-error';

/** An element of a drawing, with what it holds in order. */
export interface SvgElement {
  /** Without its namespace, in small letters. */
  name: string;
  attributes: Record<string, string>;
  children: SvgElement[];
  /** Words right within it; kept of titles only. */
  words: string;
}

/** Elements nested deeper than this are refused. */
const DEEPEST = 200;
export const MOST_ELEMENTS = 100_000;

/**
 * The elements of an SVG drawing as a tree. Entities, scripts and styles mean nothing here: they are refused or stay words.
 *
 * @throws {InputError} for a file that is no well-formed SVG, defines entities, or holds more than a drawing can
 */
export function svgTree(text: string): SvgElement {
  let root: SvgElement | undefined;
  const open: SvgElement[] = [];
  let elements = 0;
  const parser = new SaxesParser({});
  parser.on('error', (error) => {
    throw new InputError(
      'file',
      `is not a well-formed SVG drawing: ${error.message.replace(/^\d+:\d+: /, (at) => `line ${at.split(':')[0]}, `)}`,
    );
  });
  parser.on('doctype', (doctype) => {
    if (/<!ENTITY/i.test(doctype)) throw new InputError('file', 'defines entities, which are not read; save it as plain SVG');
  });
  parser.on('text', (words) => {
    const within = open.at(-1);
    if (within?.name === 'title') within.words += words;
  });
  parser.on('opentag', (tag) => {
    elements++;
    if (elements > MOST_ELEMENTS) throw new InputError('file', `must hold at most ${MOST_ELEMENTS} elements`);
    if (open.length >= DEEPEST) throw new InputError('file', `must nest its elements at most ${DEEPEST} deep`);
    const name = tag.name.slice(tag.name.indexOf(':') + 1).toLowerCase();
    const parent = open.at(-1);
    if (!parent && name !== 'svg')
      throw new InputError('file', `must be an SVG drawing, but begins with <${tag.name.slice(0, 30)}>`);
    const element = { name, attributes: tag.attributes as Record<string, string>, children: [], words: '' };
    if (parent) parent.children.push(element);
    else root = element;
    open.push(element);
  });
  parser.on('closetag', () => void open.pop());
  parser.write(text).close();
  if (!root) throw new InputError('file', 'is empty; it must be an SVG drawing');
  return root;
}
