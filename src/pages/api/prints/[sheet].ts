import { measuringSheet, PAPERS, SHEETS, type Paper, type SheetName } from '../../../formats/pdf';
import { InputError } from '../../../core/input-error';
import { fileEndpoint } from '../../../server/endpoint';
import { NotFoundError } from '../../../store/errors';

/** A sheet to print at full size: jig, swatch or gauge. */
export const GET = fileEndpoint(async ({ params, url }) => {
  const sheet = params['sheet']!.replace(/\.pdf$/, '') as SheetName;
  if (!SHEETS.includes(sheet)) throw new NotFoundError('sheet');
  const paper = (url.searchParams.get('paper') ?? 'a4') as Paper;
  if (!(paper in PAPERS))
    throw new InputError('paper', `must be one of ${Object.keys(PAPERS).join(', ')}, saw ${JSON.stringify(paper)}`);
  return { name: `${sheet}-${paper}.pdf`, type: 'application/pdf', bytes: await measuringSheet(sheet, paper) };
});
