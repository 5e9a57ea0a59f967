import { useId } from 'react';
import type { Outline } from '../../core/shape';
import type { Act } from '../../core/steps';
import { fitted, fittedWith, SCENES } from './scenes';

/** What each drawing shows, for those who do not see it. */
const ACT_WORDS: Record<Act, string> = {
  wash: 'The cloth is moved in a bowl of water',
  shrink: 'The layer lies in a bowl of hand-warm water',
  'press-flat': 'The iron goes along the grain of the cloth',
  spray: 'A bottle mists the piece from some way off, one face after the other',
  soak: 'The cloth is pressed under in a bowl until no place is dry',
  hang: 'The cloth hangs from a line by two pegs, both faces free',
  rest: 'The piece lies flat beside a clock',
  'press-sections': 'The iron is set down on one section after the other, under folded paper',
  press: 'The iron is lifted and set down, never pushed',
  cool: 'The piece lies flat beside a clock and is not moved',
  cut: 'Scissors follow the edge of the piece',
  'lay-face-down': 'The cloth lies face down, the layer on it with its glue side down',
  'lay-on-layer': 'The piece is laid, face up, on the glue side of the whole layer',
  'smooth-on': 'A flat hand smooths the layer on from the middle outwards',
  baste: 'A needle bastes the layer on along the edge, inside the seam allowance',
  feel: 'A fingernail feels along the edge of the piece',
  'cut-loose': 'Scissors cut the piece loose from the layer, then along its edge',
  check: 'The piece is looked at along its surface, its corners and edges first',
  hoop: 'Cloth is held between the two rings of a hoop',
  'slide-under': 'A sheet is slid under the hoop',
  'lay-on-top': 'A thin film is laid on top of the hooped cloth',
  stitch: 'The needle stitches in the hoop',
  'take-away': 'What is left of the sheet is taken away from the back',
};

interface Props {
  act: Act;
  /** The real piece, mm. */
  outline: Outline;
  /** Where the layer of the step lies on it, mm; a little inside its edge where that is not known. */
  region?: readonly Outline[];
  className?: string;
}

/** Done on the wrong side: the piece lies face down, and is seen mirrored. */
const FACE_DOWN: readonly Act[] = ['lay-face-down', 'press', 'press-sections', 'smooth-on', 'baste', 'cool'];
const mirrored = (outline: Outline): Outline => outline.map(([x, y]) => [-x, y]);

/** What the hands do in a step: the real piece, its layer, the tool, and which way it goes, in thin ink. */
export default function StepDrawing({ act, outline: pattern, region = [], className = '' }: Props) {
  const turned = FACE_DOWN.includes(act);
  const outline = turned ? mirrored(pattern) : pattern;
  const lies = turned ? region.map(mirrored) : region;
  const layerPath = (dx = 0, dy = 0) => (lies.length > 0 ? fittedWith(outline, lies, 1, dx, dy) : fitted(outline, 0.9, dx, dy));
  const id = useId().replace(/:/g, '');
  const ink = { stroke: 'var(--ink)', strokeWidth: 1.4, strokeLinejoin: 'round' } as const;
  const face = <path d={fitted(outline)} {...ink} fill="var(--color-base-200)" />;
  const wrong = <path d={fitted(outline)} {...ink} fill={`url(#wrong-${id})`} />;
  const layer = <path d={layerPath()} {...ink} fill={`url(#glue-${id})`} strokeDasharray="4 3" />;
  const where = lies.length > 0 && <path d={layerPath()} {...ink} fill="var(--chalk)" fillOpacity={0.16} strokeDasharray="4 3" />;
  const glue = `url(#glue-${id})`;
  const sheet = <rect x={18} y={24} width={164} height={98} rx={2} {...ink} fill={`url(#glue-${id})`} />;
  return (
    <svg viewBox="0 0 200 130" className={className} role="img" aria-label={ACT_WORDS[act]}>
      <defs>
        <marker id="goes" viewBox="0 0 10 10" refX="7" refY="5" markerWidth="5" markerHeight="5" orient="auto-start-reverse">
          <path d="M0 0L10 5L0 10Z" fill="var(--chalk)" />
        </marker>
        <pattern id={`wrong-${id}`} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill="var(--color-base-200)" />
          <path d="M0 0V7" stroke="var(--ink)" strokeOpacity="0.28" strokeWidth="1" />
        </pattern>
        <pattern id={`glue-${id}`} width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="var(--color-base-100)" />
          <circle cx="2" cy="2" r="1.1" fill="var(--ink)" fillOpacity="0.5" />
          <circle cx="6" cy="6" r="1.1" fill="var(--ink)" fillOpacity="0.5" />
        </pattern>
      </defs>
      {SCENES[act]({ outline, layerPath, ink, glue, face, wrong, layer, where, sheet })}
    </svg>
  );
}
