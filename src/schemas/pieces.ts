import * as yup from 'yup';
import { EXTENTS, JOINS } from '../core/layers';
import { isWide, MARK_KINDS, PLACE_KINDS, runsOn, type Mark, type MarkKind, type Place, type PlaceKind } from '../core/pieces';
import { PIECE_KINDS, shapeKind, type PieceShape } from '../core/shape';
import { number, oneOf, outline, point, shape, text } from './rules';

/** Longest measure, mm; what else a shape needs the core says. */
const LONGEST = 20_000;
const measure = () => number({ min: 0, max: LONGEST }).required();

const drawn = shape({
  kind: oneOf(['drawn'] as const).required(),
  edges: yup
    .array()
    .of(
      shape({
        from: point,
        curve: yup.tuple([point, point]).default(undefined),
        via: yup.array().of(point).max(10_000),
      }).required(),
    )
    .required()
    .min(2, 'must hold at least 2 edges')
    .max(2000, 'must hold at most 2000 edges'),
  holes: yup.array().of(outline).max(50, 'must hold at most 50 openings'),
}).required();

const corners = yup
  .tuple([yup.boolean().required(), yup.boolean().required(), yup.boolean().required(), yup.boolean().required()])
  .required();

/** Fields of a typed shape follow from its measures. */
function typed(kind: PieceShape['kind']) {
  const fields: Record<string, yup.Schema> = { kind: oneOf([kind]).required() };
  for (const { field } of shapeKind(kind).measures as readonly { field: string }[]) fields[field] = measure();
  if (kind === 'rectangle' || kind === 'rounded' || kind === 'angled') Object.assign(fields, { corners, corner: measure() });
  return shape(fields).required();
}
/** By a map: a plain object knows words of its own, such as “constructor”. */
const schemas = new Map<unknown, ReturnType<typeof typed> | typeof drawn>(
  PIECE_KINDS.map((kind) => [kind, kind === 'drawn' ? drawn : typed(kind)]),
);

const anyKind = shape({ kind: oneOf(PIECE_KINDS).required() }).required();

/** The shape of a piece, each kind with its own measures. */
const pieceShape = yup.lazy((value: { kind?: string } | undefined) => schemas.get(value?.kind) ?? anyKind);

/** A mark: some run to another place, some have a width. */
const markSchemas = new Map<unknown, yup.ObjectSchema<Mark>>(
  MARK_KINDS.map((kind): [MarkKind, yup.ObjectSchema<Mark>] => [
    kind,
    shape({
      kind: oneOf([kind]).required(),
      at: point,
      ...(runsOn(kind) ? { to: point } : {}),
      ...(isWide(kind) ? { width: number({ min: 0.5, max: 1000 }).required() } : {}),
    }).required() as unknown as yup.ObjectSchema<Mark>,
  ]),
);
/** Says that the kind is wrong, and nothing else. */
const anyMark = shape({
  kind: oneOf(MARK_KINDS).required(),
  at: yup.mixed(),
  to: yup.mixed(),
  width: yup.mixed(),
}).required() as unknown as yup.ObjectSchema<Mark>;

const marks = yup
  .array()
  .of(yup.lazy((value: { kind?: MarkKind } | undefined) => markSchemas.get(value?.kind) ?? anyMark))
  .max(200, 'must hold at most 200 marks')
  .default([]);

/** Fields of a piece besides its name and count. */
export const pieceFields = {
  shape: pieceShape,
  line: oneOf(['cut', 'sew'] as const).default('cut'),
  allowances: yup
    .array()
    .of(number({ min: 0, max: 500 }).required())
    .required()
    .min(1, 'must hold one allowance for each edge')
    .max(2100),
  fold: number({ min: 0, max: 2000, integer: true }).nullable().defined('is missing'),
  grain: number({ min: -360, max: 360 }).default(0),
  marks,
};

/** Where a job is done on its cut. */
const placeKinds: Record<PlaceKind, yup.Schema> = {
  usual: shape({ kind: oneOf(['usual'] as const).required() }).required(),
  whole: shape({ kind: oneOf(['whole'] as const).required() }).required(),
  edges: shape({
    kind: oneOf(['edges'] as const).required(),
    edges: yup
      .array()
      .of(number({ min: 0, max: 2100, integer: true }).required())
      .required()
      .min(1, 'must name at least one edge')
      .max(2100),
    width: number({ min: 1, max: 2000 }).required(),
  }).required(),
  line: shape({
    kind: oneOf(['line'] as const).required(),
    line: yup.tuple([point, point]).required(),
    width: number({ min: 1, max: 2000 }).required(),
  }).required(),
  patch: shape({
    kind: oneOf(['patch'] as const).required(),
    at: point,
    size: number({ min: 1, max: 2000 }).required(),
  }).required(),
  field: shape({ kind: oneOf(['field'] as const).required(), at: point }).required(),
};
const anyPlace = shape({ kind: oneOf(PLACE_KINDS).required() }).required();
const PLACES = new Map<unknown, yup.Schema>(Object.entries(placeKinds));
export const placeSchema = yup.lazy((value: { kind?: string } | undefined) => PLACES.get(value?.kind) ?? anyPlace);

/** The same where nothing may be said. */
export const optionalPlace = yup.lazy((value: unknown) =>
  value === undefined ? yup.mixed() : placeSchema,
) as unknown as yup.MixedSchema<Place>;

/** How one layer of a stack is cut where it differs from the usual. */
const layerCut = shape({
  trim: number({ min: 0, max: 100 }),
  past: number({ min: 0, max: 500 }),
  edges: yup
    .array()
    .of(number({ min: 0, max: 2100, integer: true }).required())
    .max(2100),
  line: yup.tuple([point, point]).default(undefined),
  width: number({ min: 1, max: 2000 }),
  at: point.notRequired(),
  size: number({ min: 1, max: 2000 }),
  sheet: shape({
    width: number({ min: 1, max: 5000 }).required(),
    height: number({ min: 1, max: 5000 }).required(),
  }).default(undefined),
  clipped: yup.boolean(),
}).default(undefined);

export const stackLayer = shape({
  materialId: text(100, 1).required(),
  extent: oneOf(EXTENTS).required(),
  angle: number({ min: -180, max: 180 }).required(),
  join: oneOf(JOINS),
  cut: layerCut,
}).required();
