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
import { parts } from '../../../../../store/parts';

/** A piece as it is cut from cloth, opened out: as DXF, SVG, or a template at full size. */
export const GET = fileEndpoint(async ({ params, url }) => {
  const db = database();
  const part = parts.get(db, params['id']!);
  const opened = openPiece(part);
  const piece = writtenPiece(part.name, opened, { cut: part.wish.cut, grain: part.grain, oneWay: part.oneWay }, part.count);
  switch (params['file']) {
    case 'piece.dxf':
      return { name: `${part.name}.dxf`, type: 'image/vnd.dxf', bytes: writeDxf([piece]) };
    case 'piece.svg': {
      const { minX, minY } = bounds(piece.outline);
      const placement = { id: part.id, copy: 0, rotation: 0, flipped: false, x: -minX, y: -minY };
      const { maxX, maxY } = bounds(piece.outline);
      const sheet: [number, number][] = [
        [0, 0],
        [maxX - minX, 0],
        [maxX - minX, maxY - minY],
        [0, maxY - minY],
      ];
      const bytes = writeSvg(part.name, [piece], [{ name: part.name, outline: sheet, placed: [{ index: 0, placement }] }]);
      return { name: `${part.name}.svg`, type: 'image/svg+xml', bytes };
    }
    case 'template.pdf': {
      const material = part.clothId === null ? 'cloth' : (cloths.find(db, part.clothId)?.name ?? 'cloth');
      const words = `Cut ${part.count}${part.pairs ? ', half of them mirrored' : ''}${part.fold === null ? '' : ', opened out: there is no fold to lay it at'}.`;
      const bytes = await templates(part.name, [{ ...piece, material, words }], paperOf(url, ['single']) as Paper | 'single');
      return { name: `${part.name}.pdf`, type: 'application/pdf', bytes };
    }
    default:
      throw new NotFoundError('file');
  }
});
