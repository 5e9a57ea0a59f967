import { InputError } from '../../core/input-error';

/** Fields of an entity, each with the group code that it stands behind; lists keep their order. */
export interface DxfEntity {
  type: string;
  layer: string;
  /** First value of a group code. */
  number: (code: number, otherwise: number) => number;
  text: (code: number) => string;
  /** All values of a group code, in order. */
  numbers: (code: number) => number[];
  /** Pairs of group codes in order, for lists that mix several. */
  pairs: readonly [code: number, value: string][];
  /** Corners of an old polyline, which are entities of their own. */
  vertices: DxfEntity[];
}

export interface DxfBlock {
  name: string;
  base: { x: number; y: number };
  entities: DxfEntity[];
}

export interface DxfFile {
  header: Map<string, string>;
  blocks: Map<string, DxfBlock>;
  entities: DxfEntity[];
}

/** Lines of a file; a drawing of the largest size has fewer. */
const MOST_LINES = 4_000_000;

/**
 * Takes a DXF text apart: pairs of a group code and a value, sections, blocks and entities. What is read is bounded by the length of the text;
 * a file that is cut short or out of step is refused.
 *
 * @throws {InputError} naming the line
 */
export function dxfEntities(text: string): DxfFile {
  const lines = text.split(/\r\n|\n|\r/);
  if (lines.length > MOST_LINES) throw new InputError('file', `must hold at most ${MOST_LINES} lines`);
  const pairs: [number, string][] = [];
  let ended = false;
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const code = lines[i]!.trim();
    if (!/^-?\d{1,4}$/.test(code))
      throw new InputError(
        'file',
        `is not a whole DXF drawing: line ${i + 1} must be a group code, saw ${JSON.stringify(code.slice(0, 30))}`,
      );
    const value = lines[i + 1]!.trim();
    pairs.push([Number(code), value]);
    if (code === '0' && value === 'EOF') {
      ended = true;
      break;
    }
  }
  if (!ended) throw new InputError('file', 'is not a whole DXF drawing: it breaks off before its end');

  const file: DxfFile = { header: new Map(), blocks: new Map(), entities: [] };
  let section = '';
  let block: DxfBlock | undefined;
  let polyline: MutableEntity | undefined;
  for (let i = 0; i < pairs.length;) {
    // Every group runs to the next code 0, in the header to the next variable.
    const start = i;
    i++;
    if (pairs[start]![1] === 'SECTION' && pairs[i]?.[0] === 2) {
      section = pairs[i]![1];
      i++;
      continue;
    }
    const boundary = section === 'HEADER' ? [0, 9] : [0];
    while (i < pairs.length && !boundary.includes(pairs[i]![0])) i++;
    const [code, value] = pairs[start]!;
    const own = pairs.slice(start + 1, i);
    if (code === 9) {
      file.header.set(value, own[0]?.[1] ?? '');
      continue;
    }
    if (code !== 0) continue;
    switch (value) {
      case 'ENDSEC':
        section = '';
        block = undefined;
        polyline = undefined;
        break;
      case 'BLOCK': {
        const entity = entityOf(value, own);
        block = { name: entity.text(2), base: { x: entity.number(10, 0), y: entity.number(20, 0) }, entities: [] };
        break;
      }
      case 'ENDBLK':
        if (block) file.blocks.set(block.name, block);
        block = undefined;
        break;
      case 'VERTEX':
        polyline?.vertices.push(entityOf(value, own));
        break;
      case 'SEQEND':
        polyline = undefined;
        break;
      default: {
        if (section !== 'ENTITIES' && !block) break;
        const entity = entityOf(value, own);
        if (value === 'POLYLINE') polyline = entity;
        (block ? block.entities : file.entities).push(entity);
      }
    }
  }
  return file;
}

/** No figure of a drawing is larger, in any unit. */
const LARGEST_FIGURE = 1e9;

/** A figure of the file. @throws {InputError} for what is none, or none of a drawing */
export function figure(value: string): number {
  const number = Number(value);
  if (!(Math.abs(number) <= LARGEST_FIGURE))
    throw new InputError('file', `holds a figure that no drawing has: ${JSON.stringify(value.slice(0, 30))}`);
  return number;
}

type MutableEntity = DxfEntity & { vertices: DxfEntity[] };

function entityOf(type: string, pairs: readonly [number, string][]): MutableEntity {
  const first = (code: number) => pairs.find(([c]) => c === code)?.[1];
  return {
    type,
    layer: first(8) ?? '0',
    pairs,
    vertices: [],
    number: (code, otherwise) => {
      const value = first(code);
      return value === undefined || value === '' ? otherwise : figure(value);
    },
    text: (code) => first(code) ?? '',
    numbers: (code) => pairs.filter(([c]) => c === code).map(([, value]) => figure(value)),
  };
}
