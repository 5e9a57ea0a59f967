import { Printer } from 'lucide-react';
import type { TestId } from '../../core/measure';
import { FIELDS, isWhite } from '../../core/photo';
import TestDrawing from '../../ui/TestDrawing';

interface Sheet {
  id: string;
  title: string;
  words: string;
  test?: TestId;
  /** Where it is made, when it is no measuring aid. */
  at?: string;
}

const SHEETS: Sheet[] = [
  {
    id: 'jig',
    title: 'Jig for the overhang test',
    words: 'A card to fold into a wedge of 41.5°. Takes overhangs of up to 15 cm. Print on card, or glue the print to card.',
    test: 'overhang',
  },
  {
    id: 'swatch',
    title: 'Swatch and strips',
    words: 'A square of 10 cm to weigh, and a strip of 25 mm for the overhang test, with the grain marked.',
    test: 'weight',
  },
  {
    id: 'gauge',
    title: 'Stretch gauge',
    words: 'Hold the cloth at 0, pull, and read the stretch in per cent. For along, across and bias.',
    test: 'stretch',
  },
  {
    id: 'cards',
    title: 'Cards for photographs',
    words:
      'Eight cards by which a photograph is measured: pieces on a table, a strip over the corner of a box, a swatch over white and black. Three pages.',
  },
  {
    id: 'labels',
    title: 'Labels for the cupboard',
    words: 'One for each roll, sheet and leftover, with a code that opens its cloth or layer when it is scanned under Search.',
    at: '/api/stock/labels.pdf',
  },
];

/** A card as it is printed, drawn from its code. */
function CardDrawing() {
  const fields = Array.from({ length: FIELDS * FIELDS }, (_, i) => [Math.floor(i / FIELDS), i % FIELDS] as const);
  return (
    <svg
      viewBox="0 0 200 120"
      className="w-full"
      role="img"
      aria-label="A white card with a black square, in it a pattern of white fields."
    >
      <rect x={52} y={12} width={96} height={96} fill="#fff" stroke="var(--ink)" strokeDasharray="4 3" />
      <rect x={64} y={24} width={72} height={72} fill="#000" />
      {fields
        .filter(([row, column]) => isWhite(1, row, column))
        .map(([row, column]) => (
          <rect key={`${row} ${column}`} x={64 + 12 * column} y={24 + 12 * row} width={12} height={12} fill="#fff" />
        ))}
    </svg>
  );
}

/** A label with lines of words and a code. */
function LabelDrawing() {
  return (
    <svg viewBox="0 0 200 120" className="w-full" role="img" aria-label="A label with words and a code, on a string.">
      <path d="M14 60c-10-18 6-34 18-22" fill="none" stroke="var(--ink)" strokeWidth="1.4" />
      <path d="M24 40l14-16h140v72H38L24 80z" fill="#fff" stroke="var(--ink)" strokeWidth="1.6" />
      <circle cx="38" cy="60" r="4" fill="none" stroke="var(--ink)" strokeWidth="1.4" />
      <path d="M54 42h46M54 54h38M54 66h42M54 78h26" stroke="var(--ink)" strokeWidth="3" />
      {[0, 1, 2, 3, 4, 5, 6].flatMap((row) =>
        [0, 1, 2, 3, 4, 5, 6]
          .filter((column) => (row * 5 + column * 3 + ((row * column) % 3)) % 2 === 0)
          .map((column) => (
            <rect key={`${row} ${column}`} x={116 + 7 * column} y={36 + 7 * row} width={7} height={7} fill="#000" />
          )),
      )}
    </svg>
  );
}

/** Measuring aids to print at full size. */
export default function PrintsView({ usual }: { usual: 'a4' | 'letter' }) {
  const papers = usual === 'a4' ? (['a4', 'letter'] as const) : (['letter', 'a4'] as const);
  return (
    <>
      <h1 className="text-2xl font-bold">To print</h1>
      <p className="max-w-3xl">
        All at full size: print at 100 %, without “fit to page”. Each sheet has a square of 50 mm; measure it before you use the
        print.
      </p>
      <ul className="mt-4 grid gap-5 md:grid-cols-2 xl:grid-cols-4">
        {SHEETS.map(({ id, title, words, test, at = `/api/prints/${id}.pdf` }) => (
          <li key={id} className="sheet flex flex-col p-4">
            {test ? <TestDrawing test={test} /> : id === 'labels' ? <LabelDrawing /> : <CardDrawing />}
            <h2 className="mt-2 chalk-heading">{title}</h2>
            <p className="flex-1">{words}</p>
            <p className="mt-3 flex flex-wrap gap-2">
              {papers.map((paper, i) => (
                <a key={paper} className={`btn ${i === 0 ? 'btn-primary' : ''}`} href={`${at}?paper=${paper}`} download>
                  <Printer size={18} aria-hidden="true" /> {paper === 'a4' ? 'A4' : 'Letter'}
                </a>
              ))}
            </p>
          </li>
        ))}
      </ul>
    </>
  );
}
