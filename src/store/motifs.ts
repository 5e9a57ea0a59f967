import { deflateSync, inflateSync } from 'node:zlib';
import type { Motif } from '../core/motif';
import type { MappedMotif } from '../formats/stitches';
import type { Db } from './database';
import { NotFoundError } from './errors';
import { Table, type Kept } from './table';

/** What is kept of a motif besides its stitches; the map is made anew when it is looked at. */
export type KeptFigures = Omit<MappedMotif, 'density' | 'name'>;

export interface MotifFields {
  name: string;
  note: string;
  /** Colour of each block, as it is drawn: `#rrggbb`. */
  colours: string[];
  figures: KeptFigures;
}
export type KeptMotif = MotifFields & Kept;

export const motifs = new Table<MotifFields>('motif', 'motif', {
  name: 'plain',
  note: 'plain',
  colours: 'json',
  figures: 'json',
});

/** Keeps a motif with its stitches, both or neither; under an id it takes the place of a deleted one. */
export function insertMotif(db: Db, fields: MotifFields, motif: Motif, id?: string): KeptMotif {
  return db
    .transaction(() => {
      const kept = id === undefined ? motifs.insert(db, fields) : motifs.bringIn(db, fields, id);
      db.prepare('INSERT OR REPLACE INTO motif_stitches (motif_id, records, packed) VALUES (?, ?, ?)').run(
        kept.id,
        motif.command.length,
        deflateSync(packed(motif), { level: 4 }),
      );
      return kept;
    })
    .immediate();
}

/** The stitches of a motif as they are sent to the screen: x, then y (64-bit floats, little-endian), then commands. */
export function packedStitches(db: Db, id: string): { records: number; bytes: Buffer } {
  const row = db.prepare('SELECT records, packed FROM motif_stitches WHERE motif_id = ?').get(id) as
    { records: number; packed: Buffer } | undefined;
  if (!row) throw new NotFoundError('motif');
  return { records: row.records, bytes: inflateSync(row.packed) };
}

/** A motif with its stitches. @throws {NotFoundError} */
export function stitchesOf(db: Db, { id, name }: Pick<KeptMotif, 'id' | 'name'>): Motif {
  const { bytes } = packedStitches(db, id);
  return unpacked(name, bytes);
}

/** Columns of a motif, one after the other. */
export function packed({ x, y, command }: Motif): Buffer {
  return Buffer.concat([
    Buffer.from(x.buffer, x.byteOffset, x.byteLength),
    Buffer.from(y.buffer, y.byteOffset, y.byteLength),
    command,
  ]);
}

function unpacked(name: string, bytes: Buffer): Motif {
  const records = bytes.length / 17;
  const copy = new Uint8Array(bytes).buffer;
  return {
    name,
    x: new Float64Array(copy, 0, records),
    y: new Float64Array(copy, 8 * records, records),
    command: new Uint8Array(copy, 16 * records, records),
  };
}
