import type { Outline, Point } from '../../core/shape';
import type { HoopingStack } from '../../store/hoopings';
import type { KeptHoop } from '../../store/hoops';
import type { KeptMotif } from '../../store/motifs';
import type { Settings } from '../../store/settings';

/** What the screen of a motif is handed. */
export interface MotifViewProps {
  motif: KeptMotif;
  cloths: { id: string; name: string; own: boolean }[];
  startCloth: string | null;
  /** The job of a project that it is for. */
  work: {
    id: string;
    projectId: string;
    name: string;
    cut: 'straight' | 'cross' | 'bias';
    care: string;
    role: string;
    piece: Outline | null;
    clothId: string | null;
    /** What was chosen for it in the project, and the point of the piece that it is for. */
    stack: HoopingStack | null;
    at: Point | null;
    count: number;
    pairs: boolean;
  } | null;
  hoops: KeptHoop[];
  settings: Settings;
}
