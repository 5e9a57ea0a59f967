import { CONSTRUCTIONS, FIBRES, FRAYS, SHEERNESS, SURFACES, TONES, WATER, WEAVES } from '../../core/cloth';
import { InputError, shown } from '../../core/input-error';
import { COVERS, ENDS, FAMILIES, FORMS, GLUES, WASHES } from '../../core/layers';
import { parseArealDensity, parseLength } from '../../core/units';
import type { InferType } from 'yup';
import type { clothSchema } from '../../schemas/cloths';
import type { layerSchema } from '../../schemas/layers';
import { columnsFor, numberColumn, textColumn, wordColumn, wordsColumn, yesColumn, type ColumnOf } from './column';

const weightOf = (field: string) => (text: string) => parseArealDensity(text, 'metric', field);
const lengthOf = (field: string) => (text: string) => parseLength(text, 'metric', field);

/** Fibres as `55 linen, 45 cotton`. */
const fibres: ColumnOf<'fibres'> = {
  field: 'fibres',
  header: 'fibres',
  aliases: ['fibre', 'fiber', 'fibers', 'content', 'made of', 'composition'],
  fallback: [],
  read: (text) =>
    text
      .split(/[,;/]+/)
      .map((part) => part.trim())
      .filter(Boolean)
      .map((part) => {
        const match = /^(?:(\d+(?:[.,]\d+)?)\s*%?\s*)?([a-z]+)$/i.exec(part);
        const fibre = match?.[2]?.toLowerCase();
        if (!match || !FIBRES.includes(fibre as (typeof FIBRES)[number]))
          throw new InputError('fibres', `write fibres such as 55 linen, 45 cotton; saw ${shown(part)}`);
        return { fibre, percent: match[1] === undefined ? 100 : Number(match[1].replace(',', '.')) };
      }),
  write: (value) => (value as { fibre: string; percent: number }[]).map(({ fibre, percent }) => `${percent} ${fibre}`).join(', '),
};

/** Fields that are no text in a cell: readings of home tests, and what follows from them. */
type NoCell = 'tests' | 'estimated';

type ClothField = Exclude<keyof InferType<typeof clothSchema>, NoCell>;
export const CLOTH_COLUMNS = columnsFor<ClothField>()(
  textColumn({ field: 'name', header: 'name', aliases: ['cloth', 'title', 'fabric'], required: true }),
  numberColumn(
    { field: 'arealDensity', header: 'weight g/m²', aliases: ['weight', 'gsm', 'g/m2', 'areal density'], required: true },
    weightOf('arealDensity'),
  ),
  wordColumn({ field: 'construction', header: 'construction', aliases: ['type', 'kind'], fallback: 'woven' }, CONSTRUCTIONS),
  wordColumn({ field: 'weave', header: 'weave or knit', aliases: ['weave', 'knit', 'structure'] }, WEAVES),
  fibres,
  numberColumn({ field: 'thickness', header: 'thickness mm', aliases: ['thickness'] }, lengthOf('thickness')),
  numberColumn({
    field: 'stretchLength',
    header: 'stretch along %',
    aliases: ['stretch along', 'stretch length', 'warp stretch'],
    fallback: 1,
  }),
  numberColumn({
    field: 'stretchCross',
    header: 'stretch across %',
    aliases: ['stretch across', 'stretch cross', 'stretch', 'weft stretch'],
    fallback: 2,
  }),
  numberColumn({ field: 'ironDots', header: 'iron dots', aliases: ['iron', 'dots', 'heat'], fallback: 2 }),
  wordColumn({ field: 'water', header: 'water', fallback: 'safe' }, WATER),
  wordColumn({ field: 'sheer', header: 'see-through', aliases: ['sheer', 'opacity'], fallback: 'opaque' }, SHEERNESS),
  wordColumn({ field: 'tone', header: 'tone', aliases: ['shade', 'colour', 'color'], fallback: 'mid' }, TONES),
  wordsColumn({ field: 'surface', header: 'surface', aliases: ['face'], fallback: [] }, SURFACES),
  wordColumn({ field: 'fray', header: 'fray', aliases: ['frays', 'fraying'], fallback: 'medium' }, FRAYS),
  numberColumn({ field: 'overhang', header: 'overhang mm', aliases: ['overhang'] }, lengthOf('overhang')),
  numberColumn({ field: 'biasGive', header: 'bias give %', aliases: ['bias give', 'bias'] }),
  numberColumn({ field: 'shrinkLength', header: 'shrinks along %', aliases: ['shrinkage', 'shrinks along'] }),
  numberColumn({ field: 'shrinkCross', header: 'shrinks across %', aliases: ['shrinks across'] }),
  numberColumn({ field: 'uptake', header: 'takes up %', aliases: ['uptake', 'pick-up'] }),
  numberColumn({ field: 'rollWidth', header: 'width as sold mm', aliases: ['width', 'roll width'] }, lengthOf('rollWidth')),
  numberColumn({ field: 'pricePerMetre', header: 'price of a metre, cents', aliases: ['price', 'price per metre'] }),
  yesColumn({ field: 'prewashed', header: 'washed already', aliases: ['prewashed', 'washed'], fallback: false }),
  textColumn({ field: 'note', header: 'note', aliases: ['notes', 'remark', 'comment'], fallback: '' }),
);

type LayerBody = InferType<typeof layerSchema>;
type LayerField = Exclude<keyof LayerBody, NoCell | 'leaflet'> | `leaflet.${keyof LayerBody['leaflet']}`;
export const LAYER_COLUMNS = columnsFor<LayerField>()(
  textColumn({ field: 'name', header: 'name', aliases: ['layer', 'title', 'material'], required: true }),
  wordColumn({ field: 'family', header: 'family', aliases: ['kind', 'type'], required: true }, FAMILIES),
  wordColumn({ field: 'form', header: 'form', aliases: ['put on'], required: true }, FORMS),
  numberColumn(
    { field: 'arealDensity', header: 'weight g/m²', aliases: ['weight', 'gsm', 'g/m2', 'areal density'], required: true },
    weightOf('arealDensity'),
  ),
  { ...fibres, fallback: [] },
  numberColumn({ field: 'thickness', header: 'thickness mm', aliases: ['thickness'] }, lengthOf('thickness')),
  numberColumn(
    { field: 'bendingLength', header: 'bending length mm', aliases: ['bending length', 'stiffness'] },
    lengthOf('bendingLength'),
  ),
  numberColumn({ field: 'membraneStiffness', header: 'membrane stiffness N/m', aliases: ['membrane stiffness'] }),
  numberColumn({ field: 'stretchLength', header: 'stretch along %', aliases: ['stretch along', 'stretch length'], fallback: 1 }),
  numberColumn({
    field: 'stretchCross',
    header: 'stretch across %',
    aliases: ['stretch across', 'stretch cross', 'stretch'],
    fallback: 2,
  }),
  wordsColumn({ field: 'tones', header: 'shades', aliases: ['tones', 'tone', 'colour', 'color'], fallback: ['light'] }, TONES),
  wordColumn({ field: 'opacity', header: 'see-through', aliases: ['opacity', 'sheer'], fallback: 'opaque' }, SHEERNESS),
  numberColumn(
    { field: 'rollWidth', header: 'roll width mm', aliases: ['roll width', 'width', 'roll'], fallback: 900 },
    lengthOf('rollWidth'),
  ),
  numberColumn({ field: 'leaflet.ironDots', header: 'iron dots', aliases: ['iron', 'dots'], fallback: 0 }),
  numberColumn({ field: 'leaflet.seconds', header: 'seconds a stop', aliases: ['seconds'], fallback: 0 }),
  yesColumn({ field: 'leaflet.steam', header: 'steam', fallback: false }),
  yesColumn({ field: 'leaflet.mist', header: 'misted first', fallback: false }),
  wordColumn({ field: 'leaflet.cover', header: 'cover', fallback: 'none' }, COVERS),
  numberColumn({ field: 'leaflet.coolMinutes', header: 'cooling minutes', aliases: ['cooling'], fallback: 0 }),
  wordColumn({ field: 'glue', header: 'glue', fallback: 'none' }, GLUES),
  wordColumn({ field: 'wash', header: 'hottest wash', aliases: ['wash', 'washing'], fallback: 'warm' }, WASHES),
  yesColumn({ field: 'dryClean', header: 'dry cleaning', aliases: ['dry clean', 'dryclean'], fallback: false }),
  yesColumn({ field: 'preShrink', header: 'shrink first', aliases: ['pre-shrink', 'preshrink'], fallback: false }),
  yesColumn({ field: 'grain', header: 'grain', fallback: false }),
  wordColumn({ field: 'ends', header: 'ends', aliases: ['removal'], fallback: 'stays' }, ENDS),
  numberColumn({ field: 'stiffening', header: 'stiffens times', aliases: ['stiffening'], fallback: 1 }),
  numberColumn({ field: 'pricePerMetre', header: 'price of a metre, cents', aliases: ['price', 'price per metre'], fallback: 0 }),
  yesColumn({ field: 'inStock', header: 'at hand', aliases: ['in stock', 'stock'], fallback: true }),
  textColumn({ field: 'note', header: 'note', aliases: ['notes', 'remark', 'comment'], fallback: '' }),
);
