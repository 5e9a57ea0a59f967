import type { Fabric } from '../../core/cloth';
import type { HoopPlace, MotifPlace } from '../../core/hoop';
import type { Material } from '../../core/layers';
import type { Outline, Point } from '../../core/shape';
import type { Hooping, HoopingStack } from '../../store/hoopings';
import type { KeptHoop } from '../../store/hoops';
import type { KeptMotif } from '../../store/motifs';
import type { Settings } from '../../store/settings';
import type { Stock } from '../../store/stock';

export const STAGES = ['place', 'prepare', 'sew', 'check'] as const;
export type Stage = (typeof STAGES)[number];
export const STAGE_WORDS: Record<Stage, string> = { place: 'Place', prepare: 'Prepare', sew: 'Sew', check: 'Check' };

/** Where the motif and the hoop lie, on what cloth: what can be taken back. */
export interface Placed {
  ground: Hooping['ground'];
  hoopId: string | null;
  place: MotifPlace;
  hoopPlace: HoopPlace | null;
  floats: boolean;
}

/** What every stage sees. */
export interface HoopingData {
  motif: KeptMotif;
  cloth: { id: string; name: string; fabric: Fabric };
  /** A hoop would mark the cloth for good. */
  marks: boolean;
  wish: { cut: 'straight' | 'cross' | 'bias'; care: string };
  /** What can be laid under it besides layers. */
  cloths: { id: string; name: string; own: boolean }[];
  role: string;
  /** The part's own piece as it is cut, and its marks. */
  piece: { outline: Outline; marks: { words: string; at: Point }[] } | null;
  sheets: { material: Material; angle: number; stock: Stock[] }[];
  hoops: KeptHoop[];
  /** The job of a project that it is for, with what is chosen for it there. */
  job: {
    id: string;
    projectId: string;
    name: string;
    /** With the size of its sheets, where a hoop said it. */
    stack: { title: string; layers: (HoopingStack['layers'][number] & { sheet?: { width: number; height: number } })[] } | null;
    count: number;
  } | null;
  settings: Settings;
}
