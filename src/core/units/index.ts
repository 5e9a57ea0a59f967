export { formatArea, formatLength, formatSize, lengthForField, parseLength, parseLengthBeside, MM_PER_INCH } from './length';
export type { LengthSystem } from './length';
export { formatArealDensity, parseArealDensity, GSM_PER_MOMME, GSM_PER_OZ_SQYD } from './areal-density';
export { formatMoney, formatDuration } from './everyday';
