import type { ReactNode } from 'react';

const INK = { stroke: 'var(--ink)', strokeWidth: 1.4, strokeLinejoin: 'round', strokeLinecap: 'round' } as const;
const SHEET = 'M14 58L60 40L112 58L64 80Z';

function Sign({ words, children }: { words: string; children: ReactNode }) {
  return (
    <figure>
      <svg viewBox="0 0 126 92" className="w-36" aria-hidden="true">
        {children}
      </svg>
      <figcaption className="leading-snug">{words}</figcaption>
    </figure>
  );
}

const DOTS = [
  [44, 54], [58, 50], [72, 54], [86, 58], [50, 62], [64, 60], [78, 64], [60, 70],
] as const; // prettier-ignore

/** How the glue side of a layer and the right side of a cloth are told, each with its drawing. */
export function FaceSigns({ knit, dark }: { knit: boolean; dark: boolean }) {
  return (
    <details className="mt-4 rounded-field border border-base-300 px-3">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
        Which side has the glue, which is the face?
      </summary>
      <div className="grid gap-4 pt-1 pb-3 sm:grid-cols-2 xl:grid-cols-4">
        <Sign words="Tilt it to the light: the glue side shines, in dots or as a film.">
          <path d={SHEET} {...INK} fill="var(--color-base-100)" />
          {DOTS.map(([x, y]) => (
            <circle key={`${x} ${y}`} cx={x} cy={y} r={2.1} fill="var(--ink)" />
          ))}
          <path d="M96 8L84 34M108 18L90 38" {...INK} stroke="var(--color-accent)" strokeWidth={2.4} />
        </Sign>
        <Sign words="Draw a fingernail over it: the glue side is rougher and drags.">
          <path d={SHEET} {...INK} fill="var(--color-base-100)" />
          <path d="M40 60l4 -5 4 6 4 -6 4 6 4 -6 4 6" {...INK} fill="none" />
          <path d="M74 52C88 34 100 28 116 30M74 52C80 56 86 56 92 50C98 42 106 42 114 44" {...INK} fill="none" />
        </Sign>
        {dark && (
          <Sign words="On black, small grey specks are the glue.">
            <path d={SHEET} {...INK} fill="var(--ink)" />
            {DOTS.map(([x, y]) => (
              <circle key={`${x} ${y}`} cx={x} cy={y} r={1.6} fill="var(--color-base-100)" />
            ))}
          </Sign>
        )}
        <Sign
          words={
            knit
              ? 'Pull the cut edge across: a plain knit rolls to its right side there, along its length to the wrong one.'
              : 'The selvedge is smoother on the face, and the weave clearer; mark the wrong side with chalk on every piece.'
          }
        >
          {knit ? (
            <>
              <path d="M14 30H112V70H14Z" {...INK} fill="var(--color-base-100)" />
              <path d="M112 30C122 32 122 46 112 44M112 70C124 70 124 54 114 56" {...INK} fill="none" />
              <path d="M30 36v28M44 36v28M58 36v28M72 36v28M86 36v28" {...INK} strokeDasharray="2 3" fill="none" />
            </>
          ) : (
            <>
              <path d="M14 30H112V76H14Z" {...INK} fill="var(--color-base-100)" />
              <path d="M14 38H112" {...INK} strokeDasharray="3 3" />
              <path d="M52 52L72 68M72 52L52 68" {...INK} stroke="var(--chalk)" strokeWidth={2.6} />
            </>
          )}
        </Sign>
      </div>
    </details>
  );
}

/** What to do when glue got where it should not be. */
export function GlueOnIron() {
  return (
    <details className="mt-3 rounded-field border border-base-300 px-3">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold">Glue got onto the iron or the cover</summary>
      <ol className="list-decimal space-y-1 pt-1 pb-3 pl-6">
        <li>Nothing is lost. Take the iron off the work, steam off, and set it up on its heel.</li>
        <li>
          While it is still warm, rub the sole over a damp, coarse cotton cloth, or over baking paper with salt on it, until it
          glides.
        </li>
        <li>
          What has burnt on: let the iron get cold and out of the plug, then wipe it with a cleaner that its own leaflet allows.
        </li>
        <li>Turn the pressing cloth round, or take another: what sticks to it prints itself on the next piece.</li>
        <li>A spot on the face of the cloth: lay paper on it, press it warm, and peel the paper off; again with fresh paper.</li>
        <li>Before you go on, look which side has the glue. It lies towards the cloth.</li>
      </ol>
    </details>
  );
}
