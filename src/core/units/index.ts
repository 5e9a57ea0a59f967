export {
  formatArea,
  inReadersUnit,
  formatLength,
  formatSize,
  lengthForField,
  parseLength,
  parseLengthBeside,
  wordsInUnits,
  MM_PER_INCH,
} from './length';
export type { LengthSystem } from './length';
export { formatArealDensity, parseArealDensity } from './areal-density';
export { formatMoney, formatDuration } from './everyday';
