import {
  figureOf,
  usualRange,
  type ClothTest,
  type Compared,
  type Figure,
  type NamedFabric,
  type SimilarCloth,
} from '../../core/measure';
import RangeStrip from '../../ui/RangeStrip';
import { useFigureWords } from './figure-words';

interface Props {
  test: ClothTest;
  similar: SimilarCloth<NamedFabric>[];
  /** What was read of the cloth in hand. */
  figures: Figure[] | undefined;
}

/** Which figures of similar cloths stand beside a test. */
const COMPARED: Partial<Record<ClothTest['id'], Compared[]>> = {
  weight: ['arealDensity'],
  thickness: ['thickness'],
  overhang: ['bendingLength'],
  stretch: ['stretchLength', 'stretchCross'],
};
const COMPARED_WORDS: Record<Compared, string> = {
  arealDensity: 'Weight',
  thickness: 'Thickness',
  stretchLength: 'Stretch along',
  stretchCross: 'Stretch across',
  bendingLength: 'Bending length',
  ironDots: 'Heat',
};

/** What similar cloths were found to be, where the answer is a word. */
const TALLIED: Partial<Record<ClothTest['id'], (cloth: NamedFabric) => string>> = {
  water: ({ water }) => ({ safe: 'water does no harm', spots: 'water leaves a spot', resists: 'water runs off' })[water],
  heat: ({ ironDots }) => ['no iron', 'a cool iron', 'a medium iron', 'a hot iron'][ironDots]!,
  'see-through': ({ sheer }) => sheer,
  fray: ({ fray }) => ({ low: 'hardly fray', medium: 'fray some', high: 'fray a lot' })[fray],
};

/** What is usual where the library has no figures of single cloths. */
const USUAL: Partial<Record<ClothTest['id'], string>> = {
  bias: 'Woven cloth usually gives 8 to 15 % on the bias; loose and crepe weaves more.',
  uptake:
    'Usual when it is wet through: cotton and linen 80 to 120 %, viscose up to 130 %, wool 30 to 60 %, polyester about 30 %.',
  shrinkage: 'Usual in a first warm wash: cotton and linen 2 to 5 %, viscose 3 to 6 %, wool more, polyester and nylon under 1 %.',
};

/** “6 of 8 bear …”, the commonest first. */
function tally(similar: SimilarCloth<NamedFabric>[], word: (cloth: NamedFabric) => string): string {
  const counts = new Map<string, number>();
  for (const { cloth } of similar) counts.set(word(cloth), (counts.get(word(cloth)) ?? 0) + 1);
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .map(([words, count]) => `${words}: ${count} of ${similar.length}`)
    .join('; ');
}

/** What similar cloths read in the same test. */
export default function SimilarFigures({ test, similar, figures }: Props) {
  const write = useFigureWords();
  return (
    <>
      {COMPARED[test.id]?.map((property) => {
        const usual = usualRange(property, similar);
        const mine = figures?.find(({ label }) => label === COMPARED_WORDS[property]);
        const unit: Figure['unit'] = property === 'arealDensity' ? 'g/m²' : property.startsWith('stretch') ? '%' : 'mm';
        return (
          <div key={property}>
            <p className="text-[0.95rem]">
              {COMPARED_WORDS[property]} of similar cloths
              {usual && (
                <>
                  : mostly{' '}
                  <strong>
                    {write(usual.low, unit) === write(usual.high, unit)
                      ? `about ${write(usual.low, unit)}`
                      : `${write(usual.low, unit)} to ${write(usual.high, unit)}`}
                  </strong>
                </>
              )}
            </p>
            <RangeStrip
              others={similar.map(({ cloth: other }) => ({ name: other.name, value: figureOf(other, property) }))}
              usual={usual}
              mine={mine && { value: mine.value, give: mine.give }}
              write={(value) => write(value, unit)}
              label={`${COMPARED_WORDS[property]} of ${similar.length} similar cloths`}
            />
          </div>
        );
      })}
      {TALLIED[test.id] && <p>Of similar cloths, {tally(similar, TALLIED[test.id]!)}.</p>}
      {USUAL[test.id] && <p>{USUAL[test.id]}</p>}
      <p className="quiet text-[0.92rem]">
        Similar:{' '}
        {similar
          .slice(0, 5)
          .map(({ cloth: other }) => other.name)
          .join(', ')}
        .
      </p>
    </>
  );
}
