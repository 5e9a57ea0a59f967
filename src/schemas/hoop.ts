import { JOINS } from '../core/layers';
import * as yup from 'yup';
import { CARES, CUTS } from '../core/choose';
import {
  AFTER_CHECKS,
  FILL_MARGINS,
  LADDER_SPACINGS,
  HOOP_KINDS,
  HOOP_SHAPES,
  MOST_SHEETS,
  MOUNTS,
  NEEDLES,
  SIDES,
  STITCH_ROLES,
  USUAL_NEEDLE,
} from '../core/hoop';
import { SPEEDS } from '../core/machine';
import { number, oneOf, outline, shape, text } from './rules';
import { day, instant, id, layerKey } from './shared';

const name = text(120, 1).required();
const note = text(4000).default('');
const version = number({ min: 1, integer: true }).required();
const size = () => number({ above: 0, max: 2000 }).required();
/** Of a set, from 0. */
const copyNumber = () => number({ min: 0, max: 999, integer: true }).required();

const hoopFields = {
  name,
  note,
  shape: oneOf(HOOP_SHAPES).required(),
  fieldWidth: size(),
  fieldHeight: size(),
  outerWidth: size(),
  outerHeight: size(),
  clamp: size(),
  kind: oneOf(HOOP_KINDS).required(),
  mount: oneOf(MOUNTS).required(),
  mountSide: oneOf(SIDES).required(),
};
export const hoopSchema = shape(hoopFields);
export const hoopUpdateSchema = shape({ ...hoopFields, version });

const colour = yup.string().matches(/^#[0-9a-f]{6}$/, ({ value }) => `must be a colour such as #1f4e79, saw ${String(value)}`);
const motifFields = {
  name,
  note,
  colours: yup.array().of(colour.required()).max(200, 'must hold at most 200 colours').default([]),
};
export const motifUpdateSchema = shape({ ...motifFields, version });

const stitching = yup.lazy((value: { kind?: string } | undefined) =>
  value?.kind === 'satin'
    ? shape({ kind: oneOf(['satin'] as const).required(), spacing: number().required(), width: number().required() }).required()
    : value?.kind === 'running'
      ? shape({ kind: oneOf(['running'] as const).required(), stitchLength: number().required() }).required()
      : shape({
          kind: oneOf(['fill'] as const).required(),
          spacing: number().required(),
          stitchLength: number().required(),
          angle: number().required(),
        }).required(),
);
/** Outlines that stand in for a stitch file. */
export const outlineMotifSchema = shape({
  name,
  areas: yup
    .array()
    .of(
      shape({
        outlines: yup.array().of(outline).required().min(1, 'must hold an outline').max(50, 'must hold at most 50 outlines'),
        stitching,
        newColour: yup.boolean().default(false),
      }).required(),
    )
    .required()
    .min(1, 'must hold an area')
    .max(100, 'must hold at most 100 areas'),
});

const stackLayers = yup
  .array()
  .of(
    shape({ materialId: layerKey.required(), angle: number({ min: -180, max: 180 }).default(0), join: oneOf(JOINS) }).required(),
  )
  .max(MOST_SHEETS, `must hold at most ${MOST_SHEETS} layers`);

/** What a motif asks of a cloth, bare, with a stack, and with what choosing offers. */
export const judgeSchema = shape({
  clothId: id.required(),
  cut: oneOf(CUTS).default('straight'),
  care: oneOf(CARES).default('wash-warm'),
  role: oneOf(STITCH_ROLES).default('embroidery'),
  layers: stackLayers.nullable().default(null),
  nearEdge: yup.boolean().default(false),
  /** Size of the needle, hundredths of a millimetre. */
  needle: yup
    .number()
    .oneOf(NEEDLES, `must be one of ${NEEDLES.join(', ')}`)
    .default(USUAL_NEEDLE),
});

/** A ladder that was sewn on a cloth with its sheets, and read. */
export const ladderSchema = shape({
  clothId: id.required(),
  title: text(400, 1).required(),
  layers: stackLayers.required(),
  firstBad: number({ min: 1, max: LADDER_SPACINGS.length + 1, integer: true }).required(),
  doneOn: day.required(),
  note,
});
/** How a hoop is filled with copies of a motif. */
export const fillSchema = shape({
  hoopId: id.required(),
  margin: number({ min: FILL_MARGINS.min, max: FILL_MARGINS.max }).default(6),
});

const coordinate = () => number({ min: -20_000, max: 20_000 }).required();
const place = shape({
  x: coordinate(),
  y: coordinate(),
  angle: number({ min: -360, max: 720 }).required(),
  flipped: yup.boolean().default(false),
});
const wrongs = yup
  .array()
  .of(oneOf(AFTER_CHECKS.map((check) => check.id)).required())
  .required()
  .max(20);

const run = shape({
  record: number({ min: 0, max: 2_000_000, integer: true }).required(),
  stitches: number({ min: 0, max: 2_000_000, integer: true }).required(),
  colour: number({ min: 1, max: 2_000_000, integer: true }).required(),
  drift: number({ min: 0, max: 1000 }).required(),
  speed: number({ min: SPEEDS.min, max: SPEEDS.max }).required(),
  seed: number({ min: 0, max: 1_000_000_000, integer: true }).required(),
  stops: yup
    .array()
    .of(
      shape({
        kind: oneOf(['colour', 'break', 'pause'] as const).required(),
        record: number({ min: 0, max: 2_000_000, integer: true }).required(),
        at: instant.required(),
      }).required(),
    )
    .required()
    .max(2000),
  done: yup.boolean().required(),
  pieces: number({ min: 0, max: 10_000, integer: true }).required(),
});

const jobFields = {
  name,
  note,
  projectId: id.nullable().default(null),
  jobId: id.nullable().default(null),
  motifId: id.required(),
  clothId: id.required(),
  hoopId: id.nullable().default(null),
  role: oneOf(STITCH_ROLES).default('embroidery'),
  ground: shape({
    outline,
    obstacles: yup.array().of(outline).default([]).max(200),
    strips: yup.array().of(outline).default([]).max(200),
  }).required(),
  stack: shape({ title: text(400, 1).required(), layers: stackLayers.required() })
    .nullable()
    .default(null),
  floats: yup.boolean().default(false),
  place: place.required(),
  hoopPlace: shape({ x: coordinate(), y: coordinate(), angle: number({ min: -360, max: 720 }).required() })
    .nullable()
    .default(null),
  count: number({ min: 1, max: 1000, integer: true }).default(1),
  pairs: yup.boolean().default(false),
  prepared: yup
    .array()
    .of(
      shape({
        copy: number({ min: 0, max: 999, integer: true }).required(),
        ticks: yup.array().of(text(60, 1).required()).required().max(50, 'must hold at most 50 ticks of one copy'),
      }).required(),
    )
    .default([])
    .max(1000, 'must hold the ticks of at most 1000 copies'),
  sizes: yup
    .array()
    .of(shape({ copy: copyNumber(), width: size(), height: size() }).required())
    .default([])
    .max(1000),
  landed: shape({
    copy: copyNumber(),
    readings: yup
      .array()
      .of(number({ min: -500, max: 5000 }).required())
      .required()
      .max(4),
    right: number({ min: -200, max: 200 }).required(),
    up: number({ min: -200, max: 200 }).required(),
  })
    .nullable()
    .default(null),
  sewn: yup
    .array()
    .of(
      shape({
        copy: copyNumber(),
        minutes: number({ min: 0, max: 6000 }).nullable().default(null),
        breaks: yup
          .array()
          .of(
            shape({
              colour: number({ min: 1, max: 500, integer: true }).required(),
              times: number({ min: 1, max: 999, integer: true }).required(),
            }).required(),
          )
          .default([])
          .max(500),
        needles: number({ min: 0, max: 99, integer: true }).default(0),
        note: text(1000).default(''),
      }).required(),
    )
    .default([])
    .max(1000),
  run: run.nullable().default(null),
};
export const hoopingSchema = shape(jobFields);
export const hoopingUpdateSchema = shape({ ...jobFields, version });

export const hoopingResultSchema = shape({
  doneOn: day.required(),
  wrong: wrongs,
  outcome: oneOf(['good', 'fair', 'poor'] as const).required(),
  note,
  /** What it took is drawn off rolls, kept pieces and bottle. */
  draw: yup.boolean().default(false),
  version,
});
export const hoopingWashSchema = shape({ doneOn: day.required(), wrong: wrongs, version });

const result = shape({
  doneOn: day.required(),
  wrong: wrongs,
  outcome: oneOf(['good', 'fair', 'poor'] as const).required(),
  note,
  modelShare: number({ min: 0, max: 1000 }).required(),
  logId: id.required(),
  washed: shape({ doneOn: day.required(), wrong: wrongs }).nullable().default(null),
  drawn: shape({
    stock: yup
      .array()
      .of(
        shape({
          id: id.required(),
          length: number({ min: 0, max: 1e6 }).required(),
          count: number({ min: 0, max: 1e6 }).required(),
        }).required(),
      )
      .required()
      .max(2000),
    bottle: shape({ layerId: id.required(), millilitres: number({ min: 0, max: 1e6 }).required() })
      .nullable()
      .default(null),
  })
    .nullable()
    .default(null),
});
/** What was drawn down is put back. */
export const undrawSchema = shape({ version });

/** Hoops, motifs and hoopings in a bundle; a motif carries its table of stitches. */
export const bundledHoop = shape({ id: id.required(), ...hoopFields });
export const bundledMotif = shape({
  id: id.required(),
  ...motifFields,
  table: yup.string().required().max(30_000_000, 'must be a table of at most 30 million characters'),
});
export const bundledHooping = shape({ id: id.required(), ...jobFields, result: result.nullable().default(null) });

/** What was found in the hoop goes back to its project. */
export const hoopingToJobSchema = shape({ version });
