import { mirrorPiece, openPiece } from '../../../../../core/pieces';
import { isMirrored, OF_LAYERS } from '../../../../../core/workpiece';
import { checkLengths } from '../../../../../core/press';
import { writeDxf, writtenPiece } from '../../../../../formats/dxf';
import type { Paper } from '../../../../../formats/pdf';
import { codeAddress } from '../../../../../server/code-address';
import { computed } from '../../../../../server/compute';
import { writeSvg } from '../../../../../formats/svg';
import { bounds } from '../../../../../core/shape';
import { formatLength } from '../../../../../core/units';
import { fileEndpoint } from '../../../../../server/endpoint';
import { paperOf } from '../../../../../server/table-files';
import { cloths } from '../../../../../store/cloths';
import { database } from '../../../../../server/database';
import { NotFoundError } from '../../../../../store/errors';
import { readSettings } from '../../../../../store/settings';
import { jobs } from '../../../../../store/jobs';
import { cutPiecesByIds } from '../../../../../store/workpieces';

/** A piece as it is cut from cloth, opened out: as DXF, SVG, a template at full size, or one to hold it against when it is pressed. */
export const GET = fileEndpoint(async ({ params, url, request }) => {
  const db = database();
  const [piece] = cutPiecesByIds(db, [params['id']!]);
  if (!piece) throw new NotFoundError('cut');
  // What lies wrong side to wrong side with the outer cloth is drawn as it is cut: mirrored.
  const mirrored = isMirrored(piece.duty);
  const opened = mirrored ? mirrorPiece(openPiece(piece)) : openPiece(piece);
  const lies = { cut: piece.wish.cut, grain: opened.grain ?? piece.grain, oneWay: piece.oneWay };
  const drawn = writtenPiece(piece.name, opened, lies, piece.count);
  /** Where the code of a print leads: the piece, at the stage that it is for. */
  const at = (stage: string) => codeAddress(request, `/projects/${piece.projectId}?job=${piece.id}&stage=${stage}`);
  switch (params['file']) {
    case 'piece.dxf':
      return { name: `${piece.name}.dxf`, type: 'image/vnd.dxf', bytes: writeDxf([drawn]) };
    case 'piece.svg': {
      const { minX, minY } = bounds(drawn.outline);
      const placement = { id: piece.id, copy: 0, rotation: 0, flipped: false, x: -minX, y: -minY };
      const { maxX, maxY } = bounds(drawn.outline);
      const sheet: [number, number][] = [
        [0, 0],
        [maxX - minX, 0],
        [maxX - minX, maxY - minY],
        [0, maxY - minY],
      ];
      const bytes = writeSvg(piece.name, [drawn], [{ name: piece.name, outline: sheet, placed: [{ index: 0, placement }] }]);
      return { name: `${piece.name}.svg`, type: 'image/svg+xml', bytes };
    }
    case 'template.pdf': {
      const cloth = piece.clothId === null ? undefined : cloths.find(db, piece.clothId);
      // A base is cut from its layer itself.
      const [job] =
        cloth || !OF_LAYERS.includes(piece.duty) ? [] : jobs.list(db, 'cut_id = ? AND stack IS NOT NULL', [piece.id], 'position');
      const material = cloth?.name ?? job?.stack?.title ?? 'cloth';
      const words = `Cut ${piece.count}${piece.pairs ? ', half of them mirrored' : ''}${piece.fold === null ? '' : ', opened out: there is no fold to lay it at'}.${
        mirrored ? ' Mirror image of the outer cloth: they lie wrong side to wrong side.' : ''
      }`;
      const bytes = await computed(
        'templates',
        {
          title: piece.name,
          pieces: [{ ...drawn, material, words, code: at('cut') }],
          paper: paperOf(url, ['single']) as Paper | 'single',
        },
        request.signal,
      );
      return { name: `${piece.name}.pdf`, type: 'application/pdf', bytes };
    }
    case 'check.pdf': {
      const { units } = readSettings(db).settings;
      const words = 'Lay the cold piece on it, face up: every edge on its line.';
      const lengths = checkLengths(opened, piece.wish.cut).map(({ length, ...line }) => ({
        ...line,
        words: formatLength(length, units),
      }));
      const bytes = await computed(
        'templates',
        {
          title: `${piece.name}, to check`,
          pieces: [{ ...drawn, material: 'Check after pressing', words, lengths, code: at('apply') }],
          paper: paperOf(url, ['single']) as Paper | 'single',
        },
        request.signal,
      );
      return { name: `${piece.name}-check.pdf`, type: 'application/pdf', bytes };
    }
    default:
      throw new NotFoundError('file');
  }
});
