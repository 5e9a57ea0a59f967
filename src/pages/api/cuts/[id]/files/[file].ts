import { openPiece } from '../../../../../core/pieces';
import { writeDxf, writtenPiece } from '../../../../../formats/dxf';
import { templates, type Paper } from '../../../../../formats/pdf';
import { writeSvg } from '../../../../../formats/svg';
import { bounds } from '../../../../../core/shape';
import { fileEndpoint } from '../../../../../server/endpoint';
import { paperOf } from '../../../../../server/table-files';
import { cloths } from '../../../../../store/cloths';
import { database } from '../../../../../server/database';
import { NotFoundError } from '../../../../../store/errors';
import { cutPiecesByIds } from '../../../../../store/workpieces';

/** A piece as it is cut from cloth, opened out: as DXF, SVG, or a template at full size. */
export const GET = fileEndpoint(async ({ params, url }) => {
  const db = database();
  const [piece] = cutPiecesByIds(db, [params['id']!]);
  if (!piece) throw new NotFoundError('cut');
  const opened = openPiece(piece);
  const drawn = writtenPiece(piece.name, opened, { cut: piece.wish.cut, grain: piece.grain, oneWay: piece.oneWay }, piece.count);
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
      const material = piece.clothId === null ? 'cloth' : (cloths.find(db, piece.clothId)?.name ?? 'cloth');
      const words = `Cut ${piece.count}${piece.pairs ? ', half of them mirrored' : ''}${piece.fold === null ? '' : ', opened out: there is no fold to lay it at'}.`;
      const bytes = await templates(piece.name, [{ ...drawn, material, words }], paperOf(url, ['single']) as Paper | 'single');
      return { name: `${piece.name}.pdf`, type: 'application/pdf', bytes };
    }
    default:
      throw new NotFoundError('file');
  }
});
