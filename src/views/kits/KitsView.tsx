import { Printer } from 'lucide-react';
import type { KitCount } from '../../core/kit';
import { counted } from '../../ui/text';
import { kitWords } from './kit-words';

interface Props {
  project: { id: string; name: string };
  kits: { copy: number; items: number; count: KitCount; place: string }[];
  paper: string;
}

/** The bags of a project, one for each thing that is made: how each stands, and the labels of all. */
export default function KitsView({ project, kits, paper }: Props) {
  return (
    <>
      <p className="quiet">
        <a className="font-semibold text-primary underline underline-offset-2" href={`/projects/${project.id}`}>
          {project.name}
        </a>{' '}
        · bags
      </p>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-bold">{kits.length > 1 ? 'One bag for each' : 'Its bag'}</h1>
        <a className="btn" href={`/api/projects/${project.id}/kits/labels.pdf?paper=${paper}`} download>
          <Printer size={18} aria-hidden="true" /> Print {kits.length > 1 ? 'all labels' : 'its label'}
        </a>
      </div>
      <ul className="mt-4 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {kits.map(({ copy, items, count, place }) => (
          <li key={copy} className="sheet">
            <a href={`/projects/${project.id}/kits/${copy}`} className="block min-h-11 rounded-box p-4 hover:bg-base-200">
              <span className="block text-lg font-bold">Bag {copy}</span>
              <span className="block">{kitWords(count)}</span>
              <span className="quiet block">
                {counted(items, 'line')}
                {place && ` · ${place}`}
              </span>
            </a>
          </li>
        ))}
      </ul>
    </>
  );
}
