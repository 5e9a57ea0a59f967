import {
  BUY,
  copyName,
  fingerprint,
  lengthOffRoll,
  shrinksFirst,
  sourceOutline,
  treatmentWords,
  type CutItem,
  type TableMaterial,
  type TableSource,
} from '../core/cutlist';
import { lengthToBuy, shopWords } from '../core/cutplan';
import { InputError } from '../core/input-error';
import type { Treatment } from '../core/pieces';
import { bounds, transformed } from '../core/shape';
import { formatLength, formatSize, type LengthSystem } from '../core/units';
import { grainWords, writeDxf, type WrittenPiece } from '../formats/dxf';
import { cuttingList, layoutSheet, PAPERS, type Paper, type Template } from '../formats/pdf';
import { codeAddress } from './code-address';
import { computed } from './compute';
import { writeSvg } from '../formats/svg';
import { cutTables, type CutTable } from '../store/cut-tables';
import type { Db } from '../store/database';
import { projects } from '../store/projects';
import { readSettings } from '../store/settings';
import { requireSoundLayout, tableParts } from './sound-table';
import type { MadeFile } from './endpoint';

/** Prints and files of a cutting table. */
export const TABLE_FILES = ['list.pdf', 'templates.pdf', 'layout.pdf', 'layout.svg', 'layout.dxf'] as const;
export type TableFile = (typeof TABLE_FILES)[number];

/** Everything that the files of a table are made of. */
interface Laid {
  table: CutTable;
  project: string;
  material: TableMaterial;
  items: CutItem[];
  sources: TableSource[];
  treatment: Treatment | null;
  units: LengthSystem;
}

/** Paper of a request. @throws {InputError} */
export function paperOf(url: URL, extra: readonly string[] = []): Paper {
  const paper = url.searchParams.get('paper') ?? 'a4';
  const known = [...Object.keys(PAPERS), ...extra];
  if (!known.includes(paper)) throw new InputError('paper', `must be one of ${known.join(', ')}, saw ${JSON.stringify(paper)}`);
  return paper as Paper;
}

/**
 * A print or file of a table as it is laid.
 *
 * @throws {NotFoundError} @throws {InputError} when nothing is laid yet, or the pieces have changed since
 */
export async function tableFile(db: Db, tableId: string, file: TableFile, url: URL, request: Request): Promise<MadeFile> {
  const laid = laidTable(db, tableId);
  const name = `${laid.project}-${laid.material.name}-${file}`;
  switch (file) {
    case 'list.pdf':
      return { name, type: 'application/pdf', bytes: await list(laid, paperOf(url)) };
    case 'templates.pdf': {
      const paper = paperOf(url, ['single']) as Paper | 'single';
      return {
        name,
        type: 'application/pdf',
        bytes: await computed(
          'templates',
          {
            title: laid.project,
            pieces: laid.items.map((item) => ({
              ...template(item, laid),
              code: codeAddress(request, `/tables/${laid.table.projectId}/${laid.table.ofKind}/${laid.table.ofId}`),
            })),
            paper,
          },
          request.signal,
        ),
      };
    }
    case 'layout.pdf':
      return { name, type: 'application/pdf', bytes: await sheet(laid, paperOf(url)) };
    case 'layout.svg':
      return { name, type: 'image/svg+xml', bytes: svg(laid) };
    case 'layout.dxf':
      return { name, type: 'image/vnd.dxf', bytes: dxf(laid) };
  }
}

function laidTable(db: Db, id: string): Laid {
  const table = cutTables.get(db, id);
  const { settings } = readSettings(db);
  const now = tableParts(db, table);
  if (!table.laid.some(({ placements }) => placements.length > 0)) throw new InputError('laid', 'is empty; lay the pieces first');
  if (fingerprint(now.items) !== table.fingerprint)
    throw new InputError('laid', 'holds pieces that have changed since they were laid; lay them again first');
  requireSoundLayout(table.laid, now);
  return { table, project: projects.get(db, table.projectId).name, ...now, units: settings.units };
}

function written(item: CutItem): WrittenPiece {
  return {
    name: item.mirrored ? `${item.name}, mirrored` : item.name,
    outline: item.edge,
    seam: item.seam,
    holes: item.holes,
    grain: item.grain,
    cut: item.cut,
    oneWay: item.oneWay,
    fold: item.fold,
    marks: item.marks,
    count: item.count,
  };
}

function faceWords({ material, table }: Laid): string {
  if (!material.oneSided)
    return material.kind === 'cloth' ? 'The cloth lies right side up.' : 'Either side of the layer may lie up.';
  return table.options.glueUp
    ? 'The layer lies glue side up, patterns face up.'
    : 'The layer lies glue side down, patterns face down: the outlines are mirrored.';
}

function template(item: CutItem, laid: Laid): Template {
  const piece = written(item);
  return {
    ...piece,
    material: laid.material.name,
    either: item.flip,
    words: `Cut ${item.count}${item.mirrored ? ', mirrored' : ''}. ${faceWords(laid)}`,
  };
}

function sourceName({ stock: entry, fullWidth }: TableSource, units: LengthSystem): string {
  if (!entry) return `Roll to buy, ${formatLength(fullWidth, units)} wide`;
  const kind = { roll: 'Roll', sheet: 'Sheet', leftover: 'Leftover' }[entry.kind];
  return `${kind} from the cupboard, ${formatSize(entry.width, entry.length, units)}${entry.place ? `, ${entry.place}` : ''}`;
}

async function list(laid: Laid, paper: Paper): Promise<Uint8Array> {
  const { table, material, items, sources, treatment, units } = laid;
  const bought = table.laid.find(({ sourceId }) => sourceId === BUY);
  const shrinks = shrinksFirst(material, table.options, treatment);
  const buy = bought && lengthToBuy(bought.length, shrinks, units, table.options.squaring);
  const off = table.laid.reduce((sum, { length }) => sum + lengthOffRoll(length, table.options, treatment), 0);
  const wetted = treatment && table.options.shrink ? treatmentWords(treatment, off, units) : undefined;
  return cuttingList(
    {
      project: laid.project,
      material: material.name,
      sources: (wetted ? [`${wetted.lead} ${wetted.rest}`] : []).concat(
        table.laid.flatMap(({ sourceId, length, placements }) => {
          const source = sources.find((each) => each.source.id === sourceId);
          return source
            ? [`${sourceName(source, units)}: ${placements.length} pieces, ${formatLength(length, units)} of its length.`]
            : [];
        }),
      ),
      buy: buy ? `To buy: ${shopWords(buy.buy, units)}, squaring included.` : 'Nothing has to be bought.',
      face: faceWords(laid),
      rows: items.map((item) => {
        const { minX, minY, maxX, maxY } = bounds(item.outline);
        const words = grainWords(item);
        const grain = item.free || item.grain === null ? 'any way round' : words.charAt(0).toLowerCase() + words.slice(1);
        return {
          name: item.name,
          outline: item.edge,
          holes: item.holes,
          count: item.count,
          size: formatSize(maxX - minX, maxY - minY, units),
          words: `${grain}${item.mirrored ? ', mirrored' : ''}`,
        };
      }),
    },
    paper,
  );
}

/** Marks of a tape along a length, every 10 cm or 4 in. */
function tapeMarks(length: number, units: LengthSystem): { at: number; words: string }[] {
  const step = units === 'metric' ? 100 : 101.6;
  const every = Math.max(1, Math.ceil(length / step / 14));
  return Array.from({ length: Math.floor(length / step / every) + 1 }, (_, i) => ({
    at: i * step * every,
    words: i === 0 ? '0' : formatLength(i * step * every, units),
  }));
}

async function sheet(laid: Laid, paper: Paper): Promise<Uint8Array> {
  const { table, sources, items, units } = laid;
  return layoutSheet(
    {
      title: `${laid.project}: ${laid.material.name}`,
      words: [
        faceWords(laid),
        ...(sources.some(({ source }) => source.spots) ? ['Dark spots are holes and stains: nothing is cut from them.'] : []),
      ],
      sources: table.laid.flatMap(({ sourceId, placements, length }) => {
        const source = sources.find((each) => each.source.id === sourceId);
        if (!source) return [];
        return [
          {
            name: `${sourceName(source, units)}, ${formatLength(length, units)} used`,
            outline: sourceOutline(
              { ...source, source: { ...source.source, ...(source.source.outline ? {} : { length }) } },
              length,
            ),
            spots: source.source.spots ?? [],
            marks: tapeMarks(length, units),
            placed: placements.map(({ id, copy, flipped, rotation, x, y }) => {
              const item = items.find((each) => each.id === id)!;
              return { name: copyName(item, copy), outline: transformed(item.edge, flipped, rotation, x, y) };
            }),
          },
        ];
      }),
    },
    paper,
  );
}

function indexOf(items: readonly CutItem[]): Map<string, number> {
  return new Map(items.map(({ id }, i) => [id, i]));
}

function svg(laid: Laid): string {
  const { table, items, sources, units } = laid;
  const index = indexOf(items);
  const sheets = table.laid.flatMap(({ sourceId, placements, length }) => {
    const source = sources.find((each) => each.source.id === sourceId);
    if (!source) return [];
    const outline = sourceOutline(source, length);
    return [
      {
        name: sourceName(source, units),
        outline,
        spots: source.source.spots ?? [],
        placed: placements.map((placement) => ({ index: index.get(placement.id)!, placement })),
      },
    ];
  });
  return writeSvg(`${laid.project}: ${laid.material.name}`, items.map(written), sheets);
}

function dxf(laid: Laid): string {
  const { table, items, sources } = laid;
  const index = indexOf(items);
  let top = 0;
  const placed = table.laid.flatMap(({ sourceId, placements, length }) => {
    const source = sources.find((each) => each.source.id === sourceId);
    const shift = top;
    // One source above the other, so that they do not lie on each other in the file.
    top += (source?.source.length ?? length) + 100;
    return placements.map((placement) => ({
      index: index.get(placement.id)!,
      placement: { ...placement, y: placement.y + shift },
    }));
  });
  return writeDxf(items.map(written), placed);
}
