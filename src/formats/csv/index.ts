export { matchColumns, readTable, TABLE_KINDS, writeTable } from './table-file';
export type { Mapping, RowFault, TableKind, TablePreview, TableRow } from './table-file';
