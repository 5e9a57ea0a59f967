import { faultsOf, PEELS, type ScrapReading } from '../../core/scrap';

/** What was read on a piece of a scrap that is filed; it stays as it was. */
export default function ReadSummary({ reading, length }: { reading: ScrapReading | undefined; length: (mm: number) => string }) {
  if (!reading) return <p className="quiet">This piece was not read.</p>;
  const { biasBefore, biasAfter, curlBefore, curlAfter } = reading;
  const measured = (mm: number | null) => (mm === null ? 'not measured' : length(mm));
  const change = (term: string, before: number | null | undefined, after: number | null | undefined): [string, string][] =>
    typeof after === 'number'
      ? [[term, `${typeof before === 'number' ? `${length(before)} bare, ` : ''}${length(after)} now`]]
      : [];
  const rows: [string, string][] = [
    ...(reading.peel === null ? [] : ([['Peel', PEELS[reading.peel - 1]!.words]] as [string, string][])),
    ['Faults', faultsOf(reading).join('; ') || 'none'],
    ['Feel', reading.feel ?? 'not said'],
    ...change('Bias gives', biasBefore, biasAfter),
    ...change('Edge rolls', curlBefore, curlAfter),
    ['Overhang before', measured(reading.overhangBefore)],
    ['Overhang after', measured(reading.overhangAfter)],
    ['Note', reading.note || 'none'],
  ];
  return (
    <>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
        {rows.map(([term, value]) => (
          <div key={term} className="contents">
            <dt className="quiet">{term}</dt>
            <dd className="font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <p className="quiet mt-3">Filed readings stay as they are. To read again, try another scrap.</p>
    </>
  );
}
