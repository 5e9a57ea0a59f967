import { AlertTriangle, ArrowRight, Check } from 'lucide-react';
import { useMemo, useState } from 'react';
import { edgeRuleOf } from '../../core/choose';
import { clothThickness } from '../../core/cloth';
import { EXTENT_WORDS, type Extent, type Material } from '../../core/layers';
import {
  grainLine,
  layerOutline,
  openPiece,
  placeCut,
  seamBulkOf,
  stripEdges,
  type LayerCut,
  type LayerOutline,
  type OpenPiece,
  pastSeam,
  isTape,
  tapeRun,
} from '../../core/pieces';
import type { ApiError } from '../../ui/api';
import PieceDrawing from '../../ui/piece/PieceDrawing';
import { counted, keepUnits } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import type { CutTable } from '../../store/cut-tables';
import type { Settings } from '../../store/settings';
import LayerCutOptions, { toggled } from './LayerCutOptions';
import { cuttings, type Cutting } from './cuttings';
import { layerCutOf, type CutPiece } from '../../core/workpiece';
import { isOfLayer, type WorkChange, type Worked } from './worked';

export interface StageLayer {
  materialId: string;
  extent: Extent;
  angle: number;
  cut?: LayerCut;
  /** As it is used in the stack, and as the cupboard has it. */
  material: Material | undefined;
  base: Material | undefined;
}

interface Props {
  projectId: string;
  work: Worked;
  works: Worked[];
  /** Every cut of the project. */
  cutPieces: CutPiece[];
  cloth: Cloth | undefined;
  cloths: Cloth[];
  /** Every layer that the project uses. */
  materials: Material[];
  layers: StageLayer[];
  tables: CutTable[];
  settings: Settings;
  onSave: (work: Worked, change: WorkChange) => Promise<boolean>;
  /** Shows a change at once and saves it when the hand rests. */
  onType: (work: Worked, change: WorkChange) => void;
  /** What was refused of such a change. */
  refused: string | undefined;
  onChoose: () => void;
  onNext: () => void;
}

/** What has to be cut: the tables of the project, the exact outline of each layer of the job in hand, and bulk. */
export default function CutStage(props: Props) {
  const {
    projectId,
    work,
    works,
    cutPieces,
    cloth,
    cloths,
    materials,
    layers,
    tables,
    settings,
    onSave,
    onType,
    refused,
    onChoose,
    onNext,
  } = props;
  const [error, setError] = useState<string>();
  const all = useMemo(
    () => cuttings(works, cutPieces, materials, cloths, tables, settings.trim),
    [works, cutPieces, materials, cloths, tables, settings.trim],
  );
  const save = async (change: WorkChange) => {
    setError(undefined);
    try {
      return await onSave(work, change);
    } catch (problem) {
      setError((problem as ApiError).message);
      return false;
    }
  };
  const known = layers.filter((layer): layer is StageLayer & { material: Material } => layer.material !== undefined);
  const cut = known.filter(({ material }) => material.form !== 'liquid');
  const bulk = useMemo(() => {
    if (!cloth) return undefined;
    // Layers of the other jobs of this cut run into the same seams.
    const others = works
      .filter(({ id, cutId }) => cutId === work.cutId && id !== work.id)
      .flatMap(({ stack }) => stack?.layers ?? [])
      .flatMap(({ materialId, extent }) => {
        const material = materials.find(({ id }) => id === materialId);
        return material ? [{ material, extent }] : [];
      });
    const layerBulk = [...known, ...others].map(({ material, extent }) => ({ thickness: material.thickness, extent }));
    const allowance = Math.max(0, ...work.allowances);
    return seamBulkOf(clothThickness(cloth).value, layerBulk, allowance, settings.trim, settings.machineClearance);
  }, [cloth, known, work, works, materials, settings]);
  const opened = useMemo(() => openPiece(work), [work]);
  return (
    <div className="space-y-5">
      {(error ?? refused) && (
        <p role="alert" className="alert alert-error">
          {error ?? refused}
        </p>
      )}
      {all.length > 0 && (
        <section className="sheet p-4" aria-label="Cutting tables of this project">
          <div className="flex flex-wrap items-center justify-between gap-3">
            <h2 className="chalk-heading">Cutting tables of this project</h2>
            <a className="btn" href={`/buy?project=${projectId}`}>
              What to buy
            </a>
          </div>
          <ul className="mt-2 grid gap-2 md:grid-cols-2">
            {all.map((cutting) => (
              <TableLink key={`${cutting.kind}-${cutting.id}`} projectId={projectId} cutting={cutting} />
            ))}
          </ul>
        </section>
      )}
      {!work.stack || !(cloth || isOfLayer(work)) ? (
        <div className="sheet p-6">
          <h2 className="chalk-heading">No layers for “{work.name}” yet</h2>
          <p className="mt-1">Choose them first; then their exact outlines are worked out here.</p>
          <button type="button" className="btn btn-primary mt-4" onClick={onChoose}>
            Choose the layers
          </button>
        </div>
      ) : (
        <>
          {cut.length === 0 && (
            <p className="sheet p-5">
              This stack is only sprayed or soaked: there is no layer to cut. <strong>{keepUnits(work.stack.title)}</strong>
            </p>
          )}
          {layers.map((layer, i) =>
            layer.material && layer.material.form !== 'liquid' ? (
              <LayerOnPiece
                key={`${layer.materialId}-${i}`}
                work={work}
                piece={opened}
                layer={{ ...layer, material: layer.material }}
                settings={settings}
                onChange={(change) =>
                  onType(work, {
                    stack: {
                      ...work.stack!,
                      layers: work.stack!.layers.map((each, k) => (k === i ? { ...each, ...change } : each)),
                    },
                  })
                }
              />
            ) : null,
          )}
        </>
      )}
      {isOfLayer(work) && (
        <div className="sheet flex flex-wrap items-center justify-between gap-4 p-4">
          <p className="max-w-xl">It is cut from its layer itself: there is no cloth under it.</p>
          <button
            type="button"
            className={`btn ${work.cutDone ? '' : 'btn-primary'}`}
            onClick={() => void save({ cutDone: !work.cutDone })}
          >
            {work.cutDone ? 'It is not cut after all' : 'It is cut'}
          </button>
        </div>
      )}
      {work.stack && cloth && bulk && (
        <div className="sheet flex flex-wrap items-center justify-between gap-4 p-4">
          <p className={`flex max-w-xl items-center gap-2 ${bulk.clears ? '' : 'font-semibold text-error'}`}>
            {bulk.clears ? (
              <Check size={20} className="shrink-0 text-success" aria-hidden="true" />
            ) : (
              <AlertTriangle size={20} className="shrink-0" aria-hidden="true" />
            )}
            <span>
              Seam about {bulk.seam.toFixed(1)} mm thick, a turned corner about {bulk.corner.toFixed(1)} mm; your machine clears{' '}
              {settings.machineClearance} mm.
              {!bulk.clears && ' Trim the layers out of the seam, clip the corners, or turn them by hand.'}
            </span>
          </p>
          <div className="flex flex-wrap gap-3">
            <button type="button" className="btn" onClick={() => void save({ done: !work.done })}>
              {work.done ? 'Its cloth is not cut after all' : 'Its cloth is cut'}
            </button>
            <button
              type="button"
              className={`btn ${work.cutDone ? '' : 'btn-primary'}`}
              onClick={() => void save({ cutDone: !work.cutDone })}
            >
              {work.cutDone ? 'Its layers are not cut after all' : 'Its layers are cut'}
            </button>
            {work.cutDone && (
              <button type="button" className="btn btn-primary" onClick={onNext}>
                On to the bench
              </button>
            )}
          </div>
        </div>
      )}
    </div>
  );
}

const STATE_WORDS = { open: 'not laid yet', laid: 'laid', cut: 'cut' } as const;

function TableLink({ projectId, cutting }: { projectId: string; cutting: Cutting }) {
  const units = useUnits();
  const { kind, id, name, pieces, state, length, tape } = cutting;
  const words =
    tape > 0
      ? `${units.length(tape)} of tape`
      : `${counted(pieces, 'piece')}, ${STATE_WORDS[state]}${state === 'laid' && length > 0 ? `, uses ${units.length(length)}` : ''}`;
  const inner = (
    <>
      <span className="flex-1">
        <span className="block leading-snug font-semibold">{keepUnits(name)}</span>
        <span className="quiet block text-[0.92rem]">
          {kind === 'cloth' ? 'cloth, ' : ''}
          {words}
        </span>
      </span>
      {state === 'cut' && <Check size={20} className="text-success" aria-label="cut" />}
      {tape === 0 && <ArrowRight size={20} aria-hidden="true" />}
    </>
  );
  const look = 'flex min-h-[52px] items-center gap-3 rounded-field border-2 border-base-300 px-3 py-1.5';
  return (
    <li>
      {tape > 0 ? (
        <div className={look}>{inner}</div>
      ) : (
        <a className={`${look} bg-base-100 hover:border-primary`} href={`/tables/${projectId}/${kind}/${id}`}>
          {inner}
        </a>
      )}
    </li>
  );
}

interface LayerProps {
  work: Worked;
  piece: OpenPiece;
  layer: StageLayer & { material: Material };
  settings: Settings;
  onChange: (change: { extent?: Extent; cut?: LayerCut }) => void;
}

/** The exact outline of one layer on the piece, what it leaves free, and how that can be changed. */
function LayerOnPiece({ work, piece, layer, settings, onChange }: LayerProps) {
  const units = useUnits();
  const { material, extent, cut } = layer;
  const [placing, setPlacing] = useState(false);
  const rule = edgeRuleOf(work.wish.role);
  const placed = useMemo(() => placeCut(work.place), [work.place]);
  const besideFold = rule === 'fold' && piece.fold !== undefined && !(cut?.edges ?? placed.edges)?.length;
  // Along a line there is no edge to choose: the line is the job's.
  const alongLine = placed.line !== undefined;
  const edges = extent !== 'strip' || besideFold || alongLine ? [] : stripEdges(piece, { rule, ...placed, ...cut });
  const lies = useMemo(() => layerCutOf(work, cut, settings.trim, piece, work.clothWeight), [work, cut, settings.trim, piece]);
  const outline: LayerOutline = useMemo(() => layerOutline(piece, extent, material, lies), [piece, extent, material, lies]);
  const count = outline.outlines.length;
  const splits = count > 1 && extent !== 'strip';
  return (
    <article className="sheet p-4 md:p-5" aria-label={`${material.name} on ${work.name}`}>
      <h2 className="text-xl leading-snug font-bold">{keepUnits(material.name)}</h2>
      <div className="mt-3 grid gap-5 md:grid-cols-[minmax(14rem,22rem)_1fr]">
        <div>
          <PieceDrawing
            piece={piece}
            grain={grainLine({ cut: work.wish.cut, grain: work.grain })}
            layer={[...outline.outlines, ...outline.holes]}
            hatched
            height="16rem"
            label={`${material.name} on the piece ${work.name}`}
            marked={edges}
            onEdge={
              extent === 'strip' && !alongLine ? (edge) => onChange({ cut: { ...cut, edges: toggled(edges, edge) } }) : undefined
            }
            onPlace={
              placing
                ? (at) => {
                    setPlacing(false);
                    onChange({ cut: { ...cut, at: [Math.round(at[0]), Math.round(at[1])] } });
                  }
                : undefined
            }
          />
          <p className="quiet mt-1 text-[0.92rem]">Blue: the layer. Hatched: cloth alone.</p>
        </div>
        <div className="space-y-4">
          <LayerCutOptions
            work={work}
            extent={extent}
            cut={{ ...placed, ...cut }}
            edges={edges}
            trim={settings.trim}
            usual={lies}
            past={pastSeam(material, isTape(material) ? material.rollWidth : lies.width, lies)}
            placing={placing}
            onPlacing={setPlacing}
            onChange={onChange}
          />
          <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
            <dt className="quiet">Layer</dt>
            <dd className="font-semibold">
              {units.area(outline.area)} a piece{count > 1 ? `, in ${count} parts` : ''}
            </dd>
            <dt className="quiet">Left free</dt>
            <dd className="font-semibold">
              {outline.removedArea > 1 ? units.area(outline.removedArea) : `nothing: ${EXTENT_WORDS[extent]}`}
            </dd>
            {outline.runningLength !== undefined && (
              <>
                <dt className="quiet">Along the edge</dt>
                <dd className="font-semibold">
                  {isTape(material)
                    ? `${units.length(tapeRun(outline.runningLength, 1, material.family))} a piece, its ends counted`
                    : `${units.length(outline.runningLength)} a piece`}
                </dd>
              </>
            )}
          </dl>
          {count === 0 && (
            <p role="alert" className="font-semibold text-error">
              The allowances leave nothing of this layer. Take a larger piece, smaller allowances, or another extent.
            </p>
          )}
          {splits && (
            <p role="alert" className="font-semibold text-error">
              It falls apart into {counted(count, 'piece')} where the piece is narrow. Take less off, or mark them well.
            </p>
          )}
        </div>
      </div>
    </article>
  );
}
