import { formatArealDensity, formatLength, type LengthSystem } from '../../core/units';

/** What a field's value is, so that it can be told as the screen tells it. */
type Kind = 'length' | 'weight' | 'money' | 'percent' | 'iron' | 'seconds' | 'degrees';

/** What a field is called on the screens, and what its value is. */
interface FieldWords {
  label: string;
  kind?: Kind;
}

/** Fields by their name, whatever record they stand in. */
const FIELDS = new Map<string, FieldWords>(
  Object.entries<FieldWords>({
    // Cloths and layers.
    arealDensity: { label: 'Weight', kind: 'weight' },
    fibres: { label: 'Made of' },
    weave: { label: 'Weave or knit' },
    stretchLength: { label: 'Stretch along', kind: 'percent' },
    stretchCross: { label: 'Stretch across', kind: 'percent' },
    bendingLength: { label: 'Bending length', kind: 'length' },
    overhang: { label: 'Overhang', kind: 'length' },
    rollWidth: { label: 'Width as sold', kind: 'length' },
    pricePerMetre: { label: 'Price of a metre', kind: 'money' },
    ironDots: { label: 'Iron', kind: 'iron' },
    sheer: { label: 'See-through' },
    prewashed: { label: 'Washed already' },
    preShrink: { label: 'Shrink it first' },
    inStock: { label: 'I have some' },
    coolMinutes: { label: 'Minutes to cool' },
    dryClean: { label: 'Stands dry cleaning' },
    wash: { label: 'Stands' },
    ends: { label: 'In the end it' },
    place: { label: 'Where' },
    // Hoops and hoopings.
    fieldWidth: { label: 'Field, width', kind: 'length' },
    fieldHeight: { label: 'Field, height', kind: 'length' },
    outerWidth: { label: 'Outside, width', kind: 'length' },
    outerHeight: { label: 'Outside, height', kind: 'length' },
    clamp: { label: 'Clamp', kind: 'length' },
    mount: { label: 'Carried by' },
    prepared: { label: 'What is prepared' },
    sizes: { label: 'Pieces of another size' },
    landed: { label: 'Where the first one landed' },
    sewn: { label: 'Sewn on your own machine' },
    causes: { label: 'What was wrong' },
    hoopPlace: { label: 'Where the hoop lies' },
    floats: { label: 'Floated' },
    angle: { label: 'Turned', kind: 'degrees' },
    // Projects, pieces, cuts and jobs.
    makes: { label: 'How many are made' },
    notions: { label: 'Notions' },
    archived: { label: 'Put away' },
    count: { label: 'How many' },
    pairs: { label: 'Half of them mirrored' },
    oneWay: { label: 'One way up' },
    fold: { label: 'On the fold' },
    grain: { label: 'Grain', kind: 'degrees' },
    line: { label: 'Drawn line' },
    shape: { label: 'Shape' },
    marks: { label: 'Marks' },
    allowances: { label: 'Seam allowances', kind: 'length' },
    own: { label: 'Allowances of this cut', kind: 'length' },
    duty: { label: 'Cut as' },
    clothId: { label: 'Cloth' },
    done: { label: 'Cloth cut' },
    cutDone: { label: 'Layers cut' },
    stack: { label: 'Layers' },
    glueUp: { label: 'Glue side up' },
    wish: { label: 'Wish' },
    trim: { label: 'Trimmed by', kind: 'length' },
    width: { label: 'Width', kind: 'length' },
    height: { label: 'Height', kind: 'length' },
    length: { label: 'Length', kind: 'length' },
    // Settings.
    soleLength: { label: 'Length of the sole', kind: 'length' },
    soleWidth: { label: 'Width of the sole', kind: 'length' },
    stopOverlap: { label: 'Overlap of neighbouring stops', kind: 'length' },
    boardLength: { label: 'Length of the ironing board', kind: 'length' },
    boardWidth: { label: 'Width of the ironing board', kind: 'length' },
    pressLength: { label: 'Length of the press’s plate', kind: 'length' },
    pressWidth: { label: 'Width of the press’s plate', kind: 'length' },
    machineClearance: { label: 'Under the raised foot', kind: 'length' },
    ironWeight: { label: 'The iron weighs, g' },
    ironSteam: { label: 'It gives steam' },
    mlPerPull: { label: 'A pull of the bottle, ml' },
    strength: { label: 'Strength, share of concentrate' },
    left: { label: 'Left in the bottle, ml' },
    airTemperature: { label: 'Air, °C' },
    airHumidity: { label: 'Air, humidity', kind: 'percent' },
    airSpeed: { label: 'Air, metres a second' },
    theme: { label: 'Look' },
    units: { label: 'Measures' },
    currency: { label: 'Currency sign' },
    sound: { label: 'Sound at the bench' },
    seconds: { label: 'Seconds a stop', kind: 'seconds' },
  }),
);

const IRON = ['no iron', 'cool, one dot', 'medium, two dots', 'hot, three dots'];

/** What a field is called on the screen; its plain name where it stands on none. */
export function labelOf(field: string): string {
  return FIELDS.get(field)?.label ?? field.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}

/** A number as the screen tells that field, in the person's units. */
export function numberWords(field: string, value: number, system: LengthSystem): string {
  switch (FIELDS.get(field)?.kind) {
    case 'length':
      return formatLength(value, system);
    case 'weight':
      return formatArealDensity(value, system);
    case 'money':
      return (value / 100).toFixed(2);
    case 'percent':
      return `${value} %`;
    case 'degrees':
      return `${Math.round(value)}°`;
    case 'seconds':
      return `${value} s`;
    case 'iron':
      return IRON[value] ?? String(value);
    default:
      return String(Math.round(value * 1000) / 1000);
  }
}
