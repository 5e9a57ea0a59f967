import { ladderMotif } from '../../core/hoop';
import { writeExchange } from '../../formats/stitches';
import { fileEndpoint } from '../../server/endpoint';
import { database } from '../../server/database';
import { hoops } from '../../store/hoops';

/** Five squares, light to solid, as a file for the machine. */
export const GET = fileEndpoint(({ url }) => ({
  name: 'ladder.dst',
  type: 'application/octet-stream',
  bytes: writeExchange(ladderMotif(hoops.get(database(), url.searchParams.get('hoop') ?? ''))),
}));
