import { type StackSheet } from '../store/hoopings';
import { choose, judgeStack, titleOf, traitsOf, type BrokenStop, type Part, type RankedStack } from '../core/choose';
import { fabricOf, type Fabric } from '../core/cloth';
import { judgeMotif, motifLoad, stackInPlane, type InPlane, type MotifLoad, type MotifVerdict, type Needle } from '../core/hoop';
import { InputError } from '../core/input-error';
import { stackStiffness, type ChosenLayer, type Family, joinedAs, keyOfUse, usedOf } from '../core/layers';
import { carryFactor } from '../core/learn';
import { islandsOf, motifFigures, stitchedMotif, type Motif, type StitchedArea } from '../core/motif';
import { mappedMotif, type MappedMotif, type ReadMotif } from '../formats/stitches';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { layers } from '../store/layers';
import { memoryOfCloth } from '../store/log';
import { gluingFor } from './gluing-learnt';
import { findMaterial } from '../store/materials';
import { insertMotif, motifs, stitchesOf, type KeptMotif } from '../store/motifs';
import { readSettings } from '../store/settings';
import { taughtBy, type Taught } from './taught';

/** Threads that a new motif is drawn in, one after the other, until the person says otherwise. */
const THREADS = ['#1f4e79', '#b3541e', '#3f6b35', '#8a2f3c', '#6b5b95', '#c48a12', '#2d7f7b', '#5a4632'];

/** What a stitch file comes to: read, counted and mapped. */
export interface ReadAndMapped {
  read: ReadMotif;
  mapped: MappedMotif;
}

/** Keeps a stitch file, read and counted elsewhere, as a motif. */
export function keepMotif(db: Db, { read, mapped }: ReadAndMapped): KeptMotif & { warnings: string[] } {
  return keep(db, read, mapped);
}

/** Keeps outlines with their stitching as a motif, where there is no stitch file. @throws {InputError} */
export function keepOutlines(db: Db, name: string, areas: readonly StitchedArea[]): KeptMotif & { warnings: string[] } {
  return keep(db, { motif: stitchedMotif(name, areas), incomplete: false, warnings: [] });
}

function keep(db: Db, read: ReadMotif, mapped = mappedMotif(read)): KeptMotif & { warnings: string[] } {
  const { density: _map, name, ...figures } = mapped;
  const colours = figures.colours.map((_, i) => THREADS[i % THREADS.length]!);
  const kept = insertMotif(db, { name: name || 'Motif', note: '', colours: colours.slice(0, 200), figures }, read.motif);
  return { ...kept, warnings: read.warnings };
}

/** Keeps stitches that were made of those of other motifs, with their colours. */
export function keepMade(db: Db, name: string, motif: Motif, colours: readonly string[]): KeptMotif {
  const { density: _map, name: _name, ...figures } = mappedMotif({ motif, incomplete: false, warnings: [] });
  const threads = figures.colours.map((_, i) => colours[i] ?? THREADS[i % THREADS.length]!);
  return insertMotif(db, { name: name.slice(0, 120), note: '', colours: threads.slice(0, 200), figures }, motif);
}

/** A stack under a motif, with what the elastic sheet needs to be worked out on the screen. */
export interface JudgedSheets {
  title: string;
  layers: { materialId: string; name: string; angle: number; family: string; form: string }[];
  verdict: MotifVerdict;
  inPlane: InPlane;
  /** µN·m. */
  rigidity: number;
  /** Score of choosing, 0–100; null for what was not chosen from there. */
  score: number | null;
  reasons: string[];
  cautions: string[];
  /** Times it was used on this cloth. */
  tried: number;
  /** Hard stops that a stack breaks which was asked about. */
  stops?: BrokenStop[];
}

export interface Judgement {
  bare: JudgedSheets;
  /** The stack that was asked about. */
  asked: JudgedSheets | null;
  /** What choosing offers, best first. */
  offered: JudgedSheets[];
  /** The cloth floats: a hoop would mark it. */
  marks: boolean;
  /** What earlier hoopings of this cloth taught. */
  taught: Taught[];
}

export interface JudgeBody {
  clothId: string;
  cut: Part['cut'];
  care: Part['care'];
  role: Part['role'];
  layers: StackSheet[] | null;
  nearEdge: boolean;
  needle: Needle;
}

/** What is too much for its cloth is no good answer, whatever else speaks for it. */
const TOO_MUCH = 40;
/** What choosing offers for a motif, at most. */
const OFFERED = 4;

/** A motif against a cloth: bare, with a stack, and with what choosing offers. @throws {InputError} {NotFoundError} */
export function judgeOnCloth(
  db: Db,
  motifId: string,
  { clothId, cut, care, role, layers: asked, nearEdge, needle }: JudgeBody,
): Judgement {
  const load = loadOf(db, motifs.get(db, motifId));
  const cloth = cloths.get(db, clothId);
  const fabric = fabricOf(cloth);
  const embroidery = { ...load.whole, ...(nearEdge ? { nearEdge } : {}) };
  const part: Part = { role, cut, stretch: 'any', care, embroidery };
  const memory = memoryOfCloth(db, clothId);
  const judged = (title: string, chosen: ChosenLayer[], from?: RankedStack): JudgedSheets => {
    const record = memory.get(chosen.map(({ material }) => keyOfUse(material)).join('+'));
    const verdict = judgeMotif(fabric, part, chosen, load, carryFactor(record?.carried ?? []), needle);
    return {
      title,
      layers: chosen.map(({ material, angle }) => ({
        materialId: keyOfUse(material),
        name: material.name,
        angle,
        family: material.family,
        form: material.form,
      })),
      verdict,
      inPlane: stackInPlane(fabric, chosen),
      rigidity: stackStiffness(
        fabric,
        chosen.map(({ material }) => material),
      ).rigidity,
      // Choosing sees the pull alone; what this motif does to this cloth goes before it.
      score: from === undefined ? null : verdict.verdict === 'too-much' ? Math.min(from.score, TOO_MUCH) : from.score,
      reasons: from?.reasons ?? [],
      cautions: from?.cautions ?? [],
      tried: record ? record.good + record.fair + record.poor : 0,
    };
  };
  const judgedOwn = (chosen: ChosenLayer[]): JudgedSheets => ({
    ...judged(titleOf(chosen), chosen),
    ...(chosen.length > 0 ? { stops: judgeStack(fabric, part, chosen).stops } : {}),
  });
  const { settings } = readSettings(db);
  const atHand = new Set(layers.list(db, 'in_stock = 1').map(({ id }) => id));
  const { ranked } = choose(fabric, part, layers.list(db), {
    memory,
    gluing: gluingFor(db, clothId),
    atHand,
    schools: settings.schools,
    limit: OFFERED,
  });
  return {
    bare: judged('The bare cloth', []),
    asked: asked === null ? null : judgedOwn(chosenSheets(db, asked)),
    offered: ranked.map((stack) => judged(stack.title, chosenSheets(db, stack.layers), stack)),
    marks: traitsOf(fabric, part).hoopMarks,
    taught: taughtBy(db, clothId),
  };
}

/** What a kept motif lays on its ground. */
export function loadOf(db: Db, kept: KeptMotif): MotifLoad {
  const motif = stitchesOf(db, kept);
  const bounds = motifFigures(motif).bounds!;
  return motifLoad(islandsOf(motif, bounds, false), bounds, kept.figures.peak.value);
}

/** Layers as the core sees them. @throws {InputError} naming the layer that is not there */
export function chosenSheets(db: Db, list: readonly StackSheet[]): ChosenLayer[] {
  return list.map(({ materialId, angle, join }, i) => {
    const named = usedOf(materialId);
    const material = findMaterial(db, named.materialId);
    if (!material)
      throw new InputError(
        `layers[${i}].materialId`,
        `points to a layer that is not in the cupboard: ${JSON.stringify(materialId)}`,
      );
    return { material: joinedAs(material, join ?? named.join), extent: 'field', angle };
  });
}

/** Loads of the chart: stitches per cm² of a motif of 60 × 60 mm. */
export const CHART_LOADS = [
  { words: 'Light, 15 a cm²', density: 15 },
  { words: 'Medium, 40 a cm²', density: 40 },
  { words: 'Dense, 70 a cm²', density: 70 },
  { words: 'Solid, 100 a cm²', density: 100 },
] as const;
const CHART_SIZE = 60;
/** As many as one page holds. */
const CHART_CLOTHS = 40;
/** What is ever laid under or over a motif. */
const UNDER_MOTIFS: readonly Family[] = [
  'tear-away',
  'cut-away',
  'mesh',
  'wash-away',
  'heat-away',
  'topping',
  'starch',
  'pressing-spray',
  'liquid-stabilizer',
];

/** The best stack for each of the person's own cloths under each load, from the same engine that answers on the screens. */
export function chart(db: Db): { cloth: { id: string; name: string }; cells: { stack: string; share: number }[] }[] {
  const all = layers.list(db).filter(({ family }) => UNDER_MOTIFS.includes(family));
  const { settings } = readSettings(db);
  return cloths
    .list(db, "origin = 'own'")
    .slice(0, CHART_CLOTHS)
    .map((cloth) => {
      const memory = memoryOfCloth(db, cloth.id);
      const fabric: Fabric = fabricOf(cloth);
      const cells = CHART_LOADS.map(({ density }) => {
        const stitches = (density * CHART_SIZE * CHART_SIZE) / 100;
        const part: Part = {
          role: 'embroidery',
          cut: 'straight',
          stretch: 'any',
          care: 'wash-warm',
          embroidery: { stitches, width: CHART_SIZE, height: CHART_SIZE },
        };
        const [best] = choose(fabric, part, all, {
          memory,
          gluing: gluingFor(db, cloth.id),
          schools: settings.schools,
          limit: 1,
        }).ranked;
        return { stack: best?.title ?? 'nothing here holds it', share: best?.load?.share ?? Infinity };
      });
      return { cloth: { id: cloth.id, name: cloth.name }, cells };
    });
}

/** Stitches of a kept motif. @throws {NotFoundError} */
export function keptStitches(db: Db, id: string): { kept: KeptMotif; motif: Motif } {
  const kept = motifs.get(db, id);
  return { kept, motif: stitchesOf(db, kept) };
}
