import { useUnits } from '../../ui/units-context';

interface Props {
  checks: string[];
  ticked: string[];
  /** On which paired device one was ticked. */
  tickedBy?: readonly { check: string; device: string }[] | undefined;
  onTick: (check: string, on: boolean) => void;
  /** A drawing stands beside them. */
  narrow: boolean;
}

/** More boxes than this stand closer together. */
const MANY = 8;

/** What is looked at, each with a box to tick; many of one kind can be ticked by one touch. */
export default function CheckBoxes({ checks, ticked, tickedBy = [], onTick, narrow }: Props) {
  const { said } = useUnits();
  const close = checks.length > MANY;
  const open = checks.filter((check) => !ticked.includes(check));
  return (
    <>
      <ul
        className={`mx-auto mt-4 grid max-h-[46dvh] max-w-4xl gap-2 overflow-y-auto text-left ${
          close ? 'grid-cols-[repeat(auto-fill,minmax(13rem,1fr))]' : narrow ? 'xl:grid-cols-2' : 'md:grid-cols-2'
        }`}
      >
        {checks.map((check) => (
          <li key={check}>
            <label
              className={`flex cursor-pointer items-center gap-3 rounded-box border-2 border-base-300 px-4 leading-tight ${
                close ? 'min-h-[48px] text-lg' : 'min-h-[60px] text-xl'
              }`}
            >
              <input
                type="checkbox"
                className={`checkbox checkbox-success ${close ? '' : 'checkbox-lg'}`}
                checked={ticked.includes(check)}
                onChange={(e) => onTick(check, e.target.checked)}
              />
              <span>
                {said(check)}
                {ticked.includes(check) && <TickedOn device={tickedBy.find((each) => each.check === check)?.device} />}
              </span>
            </label>
          </li>
        ))}
      </ul>
      {checks.length > 3 && open.length > 0 && (
        <button type="button" className="btn btn-outline mt-3" onClick={() => open.forEach((check) => onTick(check, true))}>
          {open.length === checks.length ? `All ${checks.length} are right` : 'The rest is right too'}
        </button>
      )}
    </>
  );
}

function TickedOn({ device }: { device: string | undefined }) {
  return device ? <span className="block text-base opacity-75">ticked on “{device}”</span> : null;
}
