import { AlertTriangle, Check } from 'lucide-react';
import { useMemo, useState } from 'react';
import { clothThickness } from '../../core/cloth';
import { lengthToBuy } from '../../core/cutplan';
import { EXTENT_WORDS, type Extent, type Material } from '../../core/layers';
import { DEFAULT_LAYER_OUTLINE, layerLayout, layerOutline, oneSided, openPiece, seamBulkOf, tapeLength } from '../../core/pieces';
import { formatMoney } from '../../core/units';
import LayoutDrawing from '../../ui/LayoutDrawing';
import PieceDrawing from '../../ui/PieceDrawing';
import { counted, keepUnits } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import type { Part } from '../../store/parts';
import type { Settings } from '../../store/settings';

export interface StageLayer {
  materialId: string;
  extent: Extent;
  angle: number;
  material: Material | undefined;
}

interface Props {
  part: Part;
  cloth: Cloth | undefined;
  layers: StageLayer[];
  settings: Settings;
  onSave: (part: Part) => Promise<boolean>;
  onChoose: () => void;
  onNext: () => void;
}

/** Shrinkage that is bought for when a layer has to be shrunk before use. */
const PRE_SHRINK = 0.03;

/** Everything needed to cut the layers of a part: outline, layout, glue side, length to buy, bulk. */
export default function CutStage({ part, cloth, layers, settings, onSave, onChoose, onNext }: Props) {
  const [error, setError] = useState<string>();
  const known = layers.filter((layer): layer is StageLayer & { material: Material } => layer.material !== undefined);
  const cut = known.filter(({ material }) => material.form !== 'liquid');
  if (!part.stack || !cloth) {
    return (
      <div className="sheet p-6">
        <h2 className="chalk-heading">Nothing to cut yet</h2>
        <p className="mt-1">Choose the layers of “{part.name}” first; then their outlines and the layout are worked out here.</p>
        <button type="button" className="btn btn-primary mt-4" onClick={onChoose}>
          Choose the layers
        </button>
      </div>
    );
  }
  const save = async (change: Partial<Part>) => {
    setError(undefined);
    try {
      return await onSave({ ...part, ...change });
    } catch (problem) {
      setError((problem as Error).message);
      return false;
    }
  };
  const allowance = Math.max(...part.allowances);
  const bulk = seamBulkOf(
    clothThickness(cloth).value,
    known.map(({ material, extent }) => ({ thickness: material.thickness, extent })),
    allowance,
    settings.trim,
    settings.machineClearance,
  );
  return (
    <div className="space-y-5">
      {error && (
        <p role="alert" className="alert alert-error">
          {error}
        </p>
      )}
      {cut.length === 0 && (
        <p className="sheet p-5">
          This stack is only sprayed or soaked: there is no layer to cut. <strong>{keepUnits(part.stack.title)}</strong>
        </p>
      )}
      {cut.map((layer, i) => (
        <LayerCut
          key={`${layer.materialId}-${i}`}
          part={part}
          layer={layer}
          settings={settings}
          onGlueUp={(glueUp) => void save({ glueUp })}
        />
      ))}
      <div className="sheet flex flex-wrap items-center justify-between gap-4 p-4">
        <p className={`flex items-center gap-2 ${bulk.clears ? '' : 'font-semibold text-error'}`}>
          {bulk.clears ? (
            <Check size={20} className="text-success" aria-hidden="true" />
          ) : (
            <AlertTriangle size={20} aria-hidden="true" />
          )}
          <span>
            Seam about {bulk.seam.toFixed(1)} mm thick, a turned corner about {bulk.corner.toFixed(1)} mm; your machine clears{' '}
            {settings.machineClearance} mm.
            {!bulk.clears && ' Trim the layers out of the seam, or turn the corner by hand.'}
          </span>
        </p>
        <div className="flex gap-3">
          <button
            type="button"
            className={`btn ${part.cutDone ? '' : 'btn-primary'}`}
            onClick={() => void save({ cutDone: !part.cutDone })}
          >
            {part.cutDone ? 'Not cut after all' : 'Everything is cut'}
          </button>
          {part.cutDone && (
            <button type="button" className="btn btn-primary" onClick={onNext}>
              On to the bench
            </button>
          )}
        </div>
      </div>
    </div>
  );
}

function LayerCut({
  part,
  layer,
  settings,
  onGlueUp,
}: {
  part: Part;
  layer: StageLayer & { material: Material };
  settings: Settings;
  onGlueUp: (glueUp: boolean) => void;
}) {
  const units = useUnits();
  const { material, extent } = layer;
  const { piece, outline, layout, tape, buy } = useMemo(() => {
    const opened = openPiece(part);
    const field = part.wish.embroidery;
    const found = layerOutline(opened, extent, material, {
      ...DEFAULT_LAYER_OUTLINE,
      trim: settings.trim,
      ...(field ? { field: { width: field.width, height: field.height } } : {}),
    });
    const running = tapeLength(found, material, part.count);
    const laid =
      running === undefined && found.outlines.length > 0
        ? layerLayout(found, material, part.count, part.wish.cut, part.glueUp)
        : undefined;
    return {
      piece: opened,
      outline: found,
      layout: laid,
      tape: running,
      buy: lengthToBuy(running ?? laid?.plan.length ?? 0, material.preShrink ? PRE_SHRINK : 0, settings.units),
    };
  }, [part, extent, material, settings]);
  const glued = oneSided(material);
  const misfit = layout?.plan.unplaced.length ?? 0;
  return (
    <article className="sheet p-4 md:p-5">
      <h2 className="text-xl leading-snug font-bold">{keepUnits(material.name)}</h2>
      <p className="quiet">
        {EXTENT_WORDS[extent]}, {counted(part.count, 'piece')}
      </p>
      <div className="mt-3 grid gap-5 xl:grid-cols-[17rem_1fr]">
        <div>
          <PieceDrawing
            piece={piece}
            cut={part.wish.cut}
            fold={part.fold}
            layer={outline.outlines}
            height="13rem"
            label={`${material.name} on the piece ${part.name}`}
          />
          <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[0.95rem]">
            <dt className="quiet">Layer</dt>
            <dd className="font-semibold">
              {units.area(outline.area)} a piece
              {outline.outlines.length > 1 ? `, in ${outline.outlines.length} parts` : ''}
            </dd>
            <dt className="quiet">Kept out of seams</dt>
            <dd className="font-semibold">
              {outline.removedArea > 0 ? units.area(outline.removedArea) : 'nothing, it runs full size'}
            </dd>
          </dl>
          {outline.outlines.length === 0 && (
            <p className="mt-2 font-semibold text-error">
              The allowances leave nothing of this layer. Take a larger piece or smaller allowances.
            </p>
          )}
        </div>
        <div>
          {glued && layout && (
            <fieldset className="mb-3">
              <legend className="mb-1 font-semibold">The layer lies on the table with its glue side</legend>
              <div className="join">
                {[true, false].map((up) => (
                  <input
                    key={String(up)}
                    type="radio"
                    name={`glue-${layer.materialId}`}
                    className="btn join-item"
                    aria-label={up ? 'up' : 'down'}
                    checked={part.glueUp === up}
                    onChange={() => onGlueUp(up)}
                  />
                ))}
              </div>
              <p className="mt-1">
                So lay the paper pattern <strong>{layout.faceUp ? 'face up' : 'face down'}</strong>
                {layout.faceUp
                  ? ': you see the layer from the cloth’s side.'
                  : ': you see the layer from behind, and the drawing is mirrored.'}
              </p>
            </fieldset>
          )}
          {layout && misfit === 0 && (
            <LayoutDrawing
              layout={layout}
              grain={material.grain}
              faceWords={
                glued ? (part.glueUp ? 'glue side up, pattern face up' : 'glue side down, pattern face down') : 'either side up'
              }
              label={`${part.count} pieces on a roll ${units.length(layout.width)} wide use ${units.length(layout.plan.length)}`}
            />
          )}
          {misfit > 0 && layout && (
            <p className="font-semibold text-error">
              {counted(misfit, 'piece')} will not fit on a roll {units.length(layout.width)} wide
              {material.grain ? ' with the grain as it should be' : ''}. Take a wider material, or join it where the join does not
              show.
            </p>
          )}
          {(layout || tape !== undefined) && misfit === 0 && (
            <p className="mt-2 text-lg">
              Buy <strong>{units.length(buy.buy)}</strong> of{' '}
              {tape === undefined
                ? `roll ${units.length(material.rollWidth)} wide`
                : `tape ${units.length(material.rollWidth)} wide`}
              , about {formatMoney((buy.buy / 1000) * material.pricePerMetre, settings.currency)}.
              <span className="quiet block text-[0.95rem]">
                {tape === undefined
                  ? `The layout uses ${units.length(buy.needed)} and ${Math.round((layout?.plan.density ?? 0) * 100)} % of its area`
                  : `${units.length(buy.needed)} with the ends`}
                {material.preShrink ? ', plus 3 % for shrinking' : ''}, plus{' '}
                {units.length(buy.withAllowances - buy.needed / (material.preShrink ? 1 - PRE_SHRINK : 1))} for squaring, rounded
                up as shops cut. Simple rows; a closer nesting may save some.
              </span>
            </p>
          )}
        </div>
      </div>
    </article>
  );
}
