import { cutApartLines, islandsOf, motifFigures, trimOutlines } from '../../../../../core/motif';
import { motifPaper } from '../../../../../formats/pdf';
import { writeExchange, writeStitchTable } from '../../../../../formats/stitches';
import { fileEndpoint } from '../../../../../server/endpoint';
import { keptStitches } from '../../../../../server/motif-work';
import { paperOf } from '../../../../../server/table-files';
import { database } from '../../../../../server/database';
import { NotFoundError } from '../../../../../store/errors';
import { packed } from '../../../../../store/motifs';

/** What is left of a cut-away sheet round the stitching, mm. */
const TRIM = 4;
/** How far the lines between islands run past the trim lines, mm. */
const APART = 6;

/** A motif as a file: stitches for the machine, a table, the screen's own form, or its paper at full size. */
export const GET = fileEndpoint(async ({ params, url }) => {
  const { kept, motif } = keptStitches(database(), params['id']!);
  switch (params['file']) {
    case 'motif.dst':
      return { name: `${kept.name}.dst`, type: 'application/octet-stream', bytes: writeExchange(motif) };
    case 'motif.csv':
      return { name: `${kept.name}.csv`, type: 'text/csv; charset=utf-8', bytes: writeStitchTable(motif) };
    case 'stitches.bin':
      return { name: `${kept.name}.bin`, type: 'application/octet-stream', bytes: packed(motif) };
    case 'paper.pdf': {
      const bounds = motifFigures(motif).bounds!;
      const islands = islandsOf(motif, bounds);
      const outlines = islands.flatMap((island) => island.outlines);
      const trims = trimOutlines(islands, TRIM);
      const bytes = await motifPaper(kept.name, bounds, { outlines, trims, apart: cutApartLines(trims, APART) }, paperOf(url));
      return { name: `${kept.name}.pdf`, type: 'application/pdf', bytes };
    }
    default:
      throw new NotFoundError('file');
  }
});
