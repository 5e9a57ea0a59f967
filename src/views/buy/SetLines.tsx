import { shopWords } from '../../core/cutplan';
import type { SetNeeds, SetSheets } from '../../server/set-needs';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';

/** Whether some of the sheets have to be bought. */
export function isShort({ short, left, rollLength }: SetSheets): boolean {
  return short > 0 || (left > 0 && rollLength === 0);
}

/** What sets in the hoop take: sheets and thread; liquid and glue are told with what else is needed of them. */
export default function SetLines({ sets }: { sets: readonly SetNeeds[] }) {
  const units = useUnits();
  const thread = (mm: number) => units.length(Math.ceil(mm / 1000) * 1000);
  return sets.map(({ id, name, count, sheets, thread: { colours, names, bobbins } }) => (
    <section key={id} className="sheet p-4" aria-label={name}>
      <h2 className="chalk-heading">
        {name}: {counted(count, 'piece')} to sew
      </h2>
      <ul className="mt-1 space-y-1">
        {sheets.map((sheet, i) => (
          <SheetLine key={i} sheet={sheet} />
        ))}
        {colours.map((length, i) => (
          <li key={`thread ${i}`} className="flex items-center gap-2">
            <span
              className="inline-block size-4 rounded-full border border-base-content"
              style={{ background: names[i] ?? '#777777' }}
              aria-hidden="true"
            />
            <span>
              <strong>{thread(length)}</strong> of thread, colour {i + 1}
            </span>
          </li>
        ))}
        {bobbins > 0 && (
          <li>
            <strong>{counted(bobbins, 'wound bobbin')}</strong> of lower thread
          </li>
        )}
      </ul>
      <p className="quiet mt-1 text-[0.95rem]">
        A tenth more thread than is sewn in, for ends and breaks; a bobbin holds about {units.length(60_000)}.
      </p>
    </section>
  ));
}

/** Sheets of one layer: how many and how large, where they come from, what is to be bought. */
function SheetLine({ sheet }: { sheet: SetSheets }) {
  const units = useUnits();
  const { count, width, height, name, angle, kept, left, rollLength, short, elsewhere } = sheet;
  const off = units.length(Math.ceil(rollLength / 10) * 10);
  return (
    <li>
      <strong>
        {count} × {units.size(width, height)}
      </strong>{' '}
      of {units.said(name)}
      {angle % 90 !== 0 && `, turned ${angle}°`}
      <span className="quiet">
        {kept > 0 && `; ${kept} from what is kept`}
        {rollLength > 0 &&
          `; ${kept > 0 ? `the other ${left}` : 'all'} off ${short > 0 ? `a roll: ${off}` : `the roll that is there: ${off}`}`}
      </span>
      {short > 0 && <strong className="block">Buy {shopWords(Math.ceil(short / 100) * 100, units.system)}</strong>}
      {left > 0 && rollLength === 0 && <strong className="block">Buy {counted(left, 'sheet')} of at least this size</strong>}
      {elsewhere && <span className="quiet block">What lies in the cupboard is counted for the projects above.</span>}
    </li>
  );
}
