import { CLOTH_ID, joinsOf, type Extent, type Family, type Form, type Join, type Material } from '../../core/layers';
import type { LayerCut } from '../../core/pieces';
import type { JudgedStack } from '../../core/choose';
import type { KeptLayer, KeptStack } from '../../store/jobs';

/** A layer of a stack that is being put together. */
export interface ComposedLayer {
  /** Tells rows apart while they are dragged; the same material may lie twice. */
  key: string;
  /** A material of the cupboard, or `cloth:` and a cloth's id. */
  materialId: string;
  name: string;
  family: Family;
  /** Its own way of being joined. */
  form: Form;
  extent: Extent;
  angle: number;
  join: Join;
  /** The ways in which it can be joined or given. */
  joins: readonly Join[];
  /** How it is cut where that is not as usual. */
  cut?: LayerCut;
}

/** Something that can be added to a stack. */
export type Addable = Pick<ComposedLayer, 'materialId' | 'name' | 'family' | 'form' | 'joins'>;

/** A material of the cupboard as something to add. */
export function addableOf(material: Pick<Material, 'id' | 'name' | 'family' | 'form' | 'arealDensity' | 'stiffening'>): Addable {
  const { id: materialId, name, family, form } = material;
  return { materialId, name, family, form, joins: joinsOf(material) };
}

let made = 0;

/** A layer as it is first laid into a stack: firm and padded ones out of the seams, tapes as strips. */
export function added(from: Addable): ComposedLayer {
  const out: Family[] = ['firm-nonwoven', 'stiff-core', 'fleece', 'wadding', 'foam', 'hair-canvas', 'buckram'];
  const strips: Family[] = ['stay-tape', 'braid', 'waistband-strip'];
  const sheets: Family[] = ['tear-away', 'cut-away', 'mesh', 'wash-away', 'heat-away', 'topping'];
  const extent: Extent = strips.includes(from.family)
    ? 'strip'
    : sheets.includes(from.family)
      ? 'field'
      : out.includes(from.family)
        ? 'net'
        : 'full';
  return { ...from, key: `${from.materialId}#${made++}`, extent, angle: 0, join: from.form };
}

/** A kept stack to go on from; layers that are gone are left out. */
export function composedFrom(stack: KeptStack | null, known: ReadonlyMap<string, Addable>): ComposedLayer[] {
  return (stack?.layers ?? []).flatMap(({ materialId, extent, angle, join, cut }) => {
    const material = known.get(materialId);
    return material ? [{ ...added(material), extent, angle, join: join ?? material.form, ...(cut ? { cut } : {}) }] : [];
  });
}

/** The layers as the engine is asked about them. */
export function namedLayers(layers: readonly ComposedLayer[]) {
  return layers.map(({ materialId, extent, angle, join, form }) => ({
    ...(materialId.startsWith(CLOTH_ID) ? { clothId: materialId.slice(CLOTH_ID.length) } : { materialId }),
    extent,
    angle,
    ...(join === form ? {} : { join }),
  }));
}

/** A judged stack as it is kept with its job, with the hard stops that the person takes all the same. */
export function stackOf(
  layers: readonly ComposedLayer[],
  { title, predicted, reasons, cautions, stops }: JudgedStack,
  schools: KeptStack['schools'],
): KeptStack {
  return {
    title,
    layers: layers.map(({ materialId, extent, angle, join, form, cut }): KeptLayer => ({
      ...{ materialId, extent, angle },
      ...(cut ? { cut } : {}),
      ...(join === form ? {} : { join }),
    })),
    predicted,
    reasons,
    own: true,
    cautions: [...stops.map(({ words }) => words), ...cautions].slice(0, 30),
    ...(schools ? { schools } : {}),
    ...(stops.length > 0 ? { accepted: [...new Set(stops.map(({ id }) => id))] } : {}),
  };
}
