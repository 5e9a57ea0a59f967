import { sheernessOf } from '../../core/seethrough';
import type { SeeThrough } from '../../core/choose';

interface Props {
  seen: SeeThrough;
}

/** A shade of grey that throws back so much of the light; what the eye sees goes with the root of it. */
function grey(reflectance: number): string {
  const level = Math.round(255 * Math.min(1, Math.max(0, reflectance)) ** (1 / 2.2));
  return `rgb(${level} ${level} ${level})`;
}

const words = (opacity: number) => ({ opaque: 'opaque', veiled: 'veiled', sheer: 'see-through' })[sheernessOf(opacity)];

/** The cloth bare and backed, each lying half over white and half over black: what is told apart is seen through. */
export default function Swatches({ seen }: Props) {
  return (
    <figure className="mt-4">
      <div className="grid max-w-md grid-cols-2 gap-3">
        {(['bare', 'backed'] as const).map((which) => {
          const { opacity, reflectance } = seen[which];
          const overWhite = opacity > 0 ? reflectance / (opacity / 100) : 1;
          return (
            <div key={which}>
              <svg
                viewBox="0 0 100 44"
                className="w-full"
                role="img"
                aria-label={`${which}: ${Math.round(opacity)} %, ${words(opacity)}`}
              >
                <rect width="50" height="44" fill={grey(0.89)} />
                <rect x="50" width="50" height="44" fill={grey(0)} />
                <rect x="8" y="8" width="42" height="28" fill={grey(overWhite)} />
                <rect x="50" y="8" width="42" height="28" fill={grey(reflectance)} />
                <rect width="100" height="44" fill="none" stroke="var(--ink)" strokeOpacity="0.4" />
              </svg>
              <p className="text-[0.95rem]">
                <strong>{which === 'bare' ? 'Bare' : 'With it'}</strong>: {Math.round(opacity)} %, {words(opacity)}
              </p>
            </div>
          );
        })}
      </div>
      <figcaption className="quiet text-[0.92rem]">
        Over white and over black; where the two halves look alike, nothing is seen through. Estimated from shade and density.
      </figcaption>
    </figure>
  );
}
