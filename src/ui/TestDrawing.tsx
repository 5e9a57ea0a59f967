import type { ReactNode } from 'react';
import type { TestId } from '../core/measure';
import { droopProfile } from '../core/cloth';

/** How each home test is done, in thin ink lines. 200 × 120 units. */
const DRAWINGS: Record<TestId, { label: string; draw: () => ReactNode }> = {
  weight: {
    label: 'A square swatch of 10 by 10 cm lies on a kitchen balance.',
    draw: () => (
      <>
        <path d="M40 100h120l-8-22H48Z" className="line" />
        <rect x={78} y={84} width={44} height={11} rx={2} className="line" />
        <Words x={100} y={92.5} size={8}>
          1.7 g
        </Words>
        <path d="M52 72h96" className="line thick" />
        <path d="M60 70l16-34h70l-14 34Z" className="cloth" />
        <Grain x={100} y={53} />
        <Words x={113} y={30}>
          100 mm
        </Words>
        <path d="M76 33h70" className="measure" />
      </>
    ),
  },
  thickness: {
    label: 'Cloth folded to eight layers with a coin on it; a ruler stands beside it.',
    draw: () => (
      <>
        <path d="M14 100h172" className="line" />
        {Array.from({ length: 8 }, (_, i) => (
          <path key={i} d={`M52 ${98 - i * 5}h80a2.5 2.5 0 0 ${i % 2} 0 -5`} className="line" />
        ))}
        <ellipse cx={92} cy={56} rx={24} ry={4} className="cloth" />
        <path d="M68 56v3a24 4 0 0 0 48 0v-3" className="line" />
        <rect x={146} y={30} width={14} height={70} className="paper" />
        {Array.from({ length: 14 }, (_, i) => (
          <path key={i} d={`M146 ${100 - i * 5}h${i % 5 === 0 ? 8 : 4}`} className="thin" />
        ))}
        <path d="M118 60h28" className="measure" strokeDasharray="3 2" />
        <Words x={34} y={82}>
          8 layers
        </Words>
      </>
    ),
  },
  overhang: {
    label: 'A strip under a ruler is pushed over the edge of the jig until its tip touches the slope of 41.5 degrees.',
    draw: () => {
      const profile = droopProfile(44, 88);
      return (
        <>
          <path d="M8 36h78v66H8Z" className="paper" />
          <path d="M86 36l92 81.4" className="line" strokeDasharray="4 3" />
          <path d="M86 102V36" className="line" />
          <path d={`M14 32H86${profile.map(([x, y]) => `L${86 + x} ${32 + y}`).join('')}`} className="strip" />
          <rect x={14} y={22} width={100} height={7} className="paper" />
          {Array.from({ length: 19 }, (_, i) => (
            <path key={i} d={`M${18 + i * 5} 29v-${i % 5 === 0 ? 4.5 : 2.5}`} className="thin" />
          ))}
          <path d="M112 36a26 26 0 0 1-6.5 17.2" className="measure" />
          <Words x={127} y={48}>
            41.5°
          </Words>
          <Words x={52} y={16}>
            ruler moves with the strip
          </Words>
        </>
      );
    },
  },
  stretch: {
    label: 'Two marks 100 mm apart are pulled apart by two hands.',
    draw: () => (
      <>
        <rect x={55} y={18} width={90} height={26} className="cloth" />
        <path d="M70 18v26M130 18v26" className="measure" />
        <Words x={100} y={13}>
          100 mm at rest
        </Words>
        <path d="M30 78c20 4 30 4 70 4s50 0 70-4v26c-20-4-30-4-70-4s-50 0-70 4Z" className="cloth" />
        <path d="M54 81v20M146 81v20" className="measure" />
        <path d="M24 91H8m5-4-5 4 5 4M176 91h16m-5-4 5 4-5 4" className="line" />
        <Words x={100} y={73}>
          pulled to …
        </Words>
      </>
    ),
  },
  bias: {
    label: 'A corner is folded so that the threads cross; the marks lie on the fold at 45 degrees.',
    draw: () => (
      <>
        <path d="M40 14h90v90H40Z" className="cloth" />
        {Array.from({ length: 8 }, (_, i) => (
          <path key={i} d={`M${50 + i * 10} 14v90M40 ${24 + i * 10}h90`} className="thin" opacity={0.35} />
        ))}
        <path d="M52 92L118 26" className="measure" />
        <circle cx={52} cy={92} r={2.5} className="dot" />
        <circle cx={118} cy={26} r={2.5} className="dot" />
        <path d="M46 98l-9 9m0-6v6h6M124 20l9-9m-6 0h6v6" className="line" />
        <Words x={164} y={60}>
          45° to
        </Words>
        <Words x={164} y={70}>
          the threads
        </Words>
      </>
    ),
  },
  uptake: {
    label: 'A dry swatch lies on a scale; wet through and squeezed it lies there again, and weighs more.',
    draw: () => (
      <>
        <path d="M22 92h64l-6 12H28Z M114 92h64l-6 12h-52Z" className="line" />
        <path d="M30 84h48v6H30Z" className="cloth" />
        <path d="M124 90c-4-14 8-20 22-19 16-3 26 6 24 19Z" className="wet" />
        <path d="M146 24c6 9 9 13 9 17a9 9 0 0 1-18 0c0-4 3-8 9-17Z" className="wet" />
        <path d="M146 54v10m-4-4 4 4 4-4" className="line" />
        <Words x={54} y={118}>
          dry
        </Words>
        <Words x={146} y={118}>
          wet through
        </Words>
      </>
    ),
  },
  water: {
    label: 'A drop of water falls on a scrap; a minute later it has sunk in, or stands on top.',
    draw: () => (
      <>
        <path d="M20 92h160" className="strip" />
        <path d="M58 26c8 12 12 17 12 23a12 12 0 0 1-24 0c0-6 4-11 12-23Z" className="wet" />
        <path d="M58 68v10m-4-4 4 4 4-4" className="line" />
        <path d="M118 92a14 11 0 0 1 28 0Z" className="wet" />
        <path d="M40 95c10 6 26 6 36 0" className="wet" />
        <Words x={58} y={112}>
          sunk in
        </Words>
        <Words x={132} y={112}>
          stands on top
        </Words>
      </>
    ),
  },
  heat: {
    label: 'The iron on a corner of a scrap under a cotton cloth: one dot, two dots, three dots.',
    draw: () => (
      <>
        <path d="M14 98h172" className="strip" />
        <path d="M30 93h110" className="thin" />
        <path d="M44 90h92c0-26-18-40-44-40H64c-4 0-6 3-4 7h28c8 0 12 6 13 12H50c-4 0-6 9-6 21Z" className="paper" />
        {[1, 2, 3].map((dots) => (
          <g key={dots}>
            {Array.from({ length: dots }, (_, i) => (
              <circle key={i} cx={146 + dots * 12} cy={86 - i * 7} r={2.4} className="dot" />
            ))}
          </g>
        ))}
        <path d="M152 40c-3-5 3-7 0-12m12 12c-3-5 3-7 0-12m12 12c-3-5 3-7 0-12" className="thin" />
        <Words x={92} y={112}>
          10 s, lift, cool, look
        </Words>
      </>
    ),
  },
  'see-through': {
    label: 'One thickness of cloth lies over half of a printed page.',
    draw: () => (
      <>
        <rect x={34} y={14} width={132} height={92} className="paper" />
        {Array.from({ length: 8 }, (_, i) => (
          <path key={i} d={`M44 ${26 + i * 10}h${i % 3 === 2 ? 84 : 112}`} className="line" strokeDasharray="9 3 14 3 6 3" />
        ))}
        <path d="M92 6l96 10-8 104-92-8Z" className="veil" />
      </>
    ),
  },
  fray: {
    label: 'A cut edge is rubbed between finger and thumb; the fringe is measured.',
    draw: () => (
      <>
        <rect x={30} y={20} width={140} height={56} className="cloth" />
        {Array.from({ length: 28 }, (_, i) => (
          <path key={i} d={`M${33 + i * 5} 76v${4 + ((i * 7) % 5) * 3}`} className="thin" />
        ))}
        <path d="M176 76h10M176 92h10M181 76v16" className="measure" />
        <path d="M62 96h52m-5-4 5 4-5 4M67 92l-5 4 5 4" className="line" />
        <Words x={88} y={112}>
          rub ten times
        </Words>
      </>
    ),
  },
  shrinkage: {
    label: 'Marks 200 mm apart before the wash, nearer together after it.',
    draw: () => (
      <>
        <rect x={10} y={22} width={80} height={80} className="cloth" />
        <path d="M20 90h60M20 90V32" className="measure" />
        <circle cx={20} cy={90} r={2.4} className="dot" />
        <circle cx={80} cy={90} r={2.4} className="dot" />
        <circle cx={20} cy={32} r={2.4} className="dot" />
        <Words x={50} y={16}>
          before: 200 mm
        </Words>
        <path d="M97 62h12m-4-4 4 4-4 4" className="line" />
        <rect x={116} y={26} width={74} height={76} className="cloth" />
        <path d="M126 90h55M126 90V36" className="measure" />
        <circle cx={126} cy={90} r={2.4} className="dot" />
        <circle cx={181} cy={90} r={2.4} className="dot" />
        <circle cx={126} cy={36} r={2.4} className="dot" />
        <Words x={153} y={16}>
          after the wash
        </Words>
      </>
    ),
  },
};

function Words({ x, y, size = 8.5, children }: { x: number; y: number; size?: number; children: ReactNode }) {
  return (
    <text x={x} y={y} fontSize={size} textAnchor="middle" fill="var(--ink)">
      {children}
    </text>
  );
}

function Grain({ x, y }: { x: number; y: number }) {
  return <path d={`M${x - 5} ${y + 11}l10 -22m-4 2.5 4-2.5 1 4.6M${x - 6} ${y + 6.4}l1 4.6 4-2.5`} className="thin" />;
}

/** The drawing that belongs to a home test. */
export default function TestDrawing({ test }: { test: TestId }) {
  const { label, draw } = DRAWINGS[test];
  return (
    <svg viewBox="0 0 200 120" role="img" aria-label={label} className="test-drawing w-full">
      {draw()}
    </svg>
  );
}
