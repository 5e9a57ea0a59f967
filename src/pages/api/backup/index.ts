import type { APIRoute } from 'astro';
import { createReadStream, createWriteStream, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';
import { errorAnswer, json } from '../../../server/endpoint';
import { RequestError } from '../../../server/errors';
import { inThread } from '../../../server/threads/in-thread';
import { restoreBackup } from '../../../server/restore-backup';
import { writeBackup, type BackupCount } from '../../../store/backup';
import { database, databasePath } from '../../../server/database';

/** Largest backup that is taken back, bytes. */
const LARGEST = 4 * 1024 ** 3;
/** Looking a backup through may take so long, s. */
const SECONDS = 120;

/** Everything in one file, made while the application goes on and streamed as it is read. */
export const GET: APIRoute = async () => {
  try {
    const folder = mkdtempSync(join(tmpdir(), 'nembrel-backup-'));
    const path = join(folder, 'backup.db');
    await writeBackup(database(), path);
    const stream = createReadStream(path);
    stream.once('close', () => rmSync(folder, { recursive: true, force: true }));
    const day = new Date().toISOString().slice(0, 10);
    return new Response(Readable.toWeb(stream) as unknown as BodyInit, {
      headers: {
        'content-type': 'application/vnd.sqlite3',
        'content-disposition': `attachment; filename="nembrel-backup-${day}.db"`,
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    return errorAnswer(error);
  }
};

/** Brings a backup back: written down as it comes, looked through in a thread, then put in the place of what is kept. */
export const POST: APIRoute = async ({ request }) => {
  // Beside the database, so that it can be put in its place in one step.
  const folder = mkdtempSync(join(dirname(databasePath()), '.restore-'));
  const path = join(folder, 'backup.db');
  try {
    if (!request.body) throw new RequestError(400, 'Send the backup as the body of the request.');
    let size = 0;
    await pipeline(
      Readable.fromWeb(request.body as unknown as ReadableStream),
      async function* (chunks: AsyncIterable<Buffer>) {
        for await (const chunk of chunks) {
          size += chunk.length;
          if (size > LARGEST) throw new RequestError(413, 'The backup is larger than 4 GB, the most that is taken here.');
          yield chunk;
        }
      },
      createWriteStream(path),
    );
    const count = await inThread<BackupCount>('check-backup', { path }, { signal: request.signal, seconds: SECONDS });
    restoreBackup(path);
    return json(count, 201);
  } catch (error) {
    return errorAnswer(error);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
};
