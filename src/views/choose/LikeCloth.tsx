import { fabricLike, fabricOf, type Fabric, type LikeChange } from '../../core/cloth';
import { formatArealDensity, parseArealDensity } from '../../core/units';
import { call } from '../../ui/api';
import { SelectField } from '../../ui/form/form-fields';
import { useWrite } from '../../ui/query';
import TypedField from '../../ui/TypedField';
import { useUnits } from '../../ui/units-context';
import { IRONS, likeName } from './like-words';

interface Props {
  cloth: Fabric & { name: string };
  like: LikeChange;
  onChange: (like: LikeChange) => void;
}

/** A figure as it was typed, or nothing while it cannot be. */
function readable(read: () => number, fits: (value: number) => boolean): number | undefined {
  try {
    const value = read();
    return fits(value) ? value : undefined;
  } catch {
    return undefined;
  }
}

/** How the cloth in hand differs from the one that is named; or the way to find out what it is. */
export default function LikeCloth({ cloth, like, onChange }: Props) {
  const { system } = useUnits();
  const differs = Object.keys(like).length > 0;
  const set = (change: LikeChange) => {
    const next = { ...like, ...change };
    // What agrees with the known cloth is no difference.
    for (const key of Object.keys(next) as (keyof LikeChange)[]) if (next[key] === cloth[key]) delete next[key];
    onChange(next);
  };
  const keeping = useWrite(
    () => {
      return call<{ id: string }>('POST', '/api/cloths', { ...fabricLike(fabricOf(cloth), like), name: likeName(cloth) });
    },
    { onSuccess: ({ id }) => location.assign(`/?cloth=${id}`) },
  );
  return (
    <div className="space-y-3">
      <p>
        Like <strong>{cloth.name}</strong>, but:
      </p>
      <div className="grid max-w-3xl gap-4 sm:grid-cols-3">
        <TypedField
          label="It weighs"
          shown={formatArealDensity(like.arealDensity ?? cloth.arealDensity, system)}
          read={(text) =>
            readable(
              () => parseArealDensity(text, system),
              (gsm) => gsm > 0 && gsm <= 3000,
            )
          }
          onChange={(arealDensity) => set({ arealDensity })}
        />
        <TypedField
          label="It stretches across, %"
          shown={String(like.stretchCross ?? cloth.stretchCross)}
          read={(text) =>
            readable(
              () => Number(text.replace('%', '').replace(',', '.').trim() || 'x'),
              (share) => share >= 0 && share <= 300,
            )
          }
          onChange={(stretchCross) => set({ stretchCross })}
        />
        <SelectField
          label="It bears"
          value={String(like.ironDots ?? cloth.ironDots)}
          options={IRONS}
          onChange={(dots) => set({ ironDots: Number(dots) })}
        />
      </div>
      <p className="flex flex-wrap items-center gap-2">
        {differs && (
          <>
            <button type="button" className="btn" onClick={() => keeping.mutate(undefined)} disabled={keeping.isPending}>
              Keep it in the cupboard
            </button>
            <button type="button" className="btn btn-ghost" onClick={() => onChange({})}>
              As it is named
            </button>
          </>
        )}
        <a className="btn btn-ghost" href="/cupboard/identify">
          Not sure what it is? Find out by looking
        </a>
      </p>
      {differs && <p className="quiet">What hangs from its weight or give is estimated; its own tests would tell.</p>}
      {keeping.error && (
        <p role="alert" className="font-semibold text-error">
          {keeping.error.message}
        </p>
      )}
    </div>
  );
}
