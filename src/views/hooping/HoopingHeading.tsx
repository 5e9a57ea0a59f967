import type { ComponentProps } from 'react';
import SavingWords from '../../ui/saving/SavingWords';
import type { Hooping, HoopingFields } from '../../store/hoopings';
import type { KeptMotif } from '../../store/motifs';
import CopyHooping from './CopyHooping';

interface Props {
  hooping: Hooping;
  motif: KeptMotif;
  clothId: string;
  saving: ComponentProps<typeof SavingWords>['state'];
  /** As it is now, to be copied. */
  body: Omit<HoopingFields, 'result'>;
}

/** What is hooped, and the way back to its motif; whether it is saved, and the same again. */
export default function HoopingHeading({ hooping, motif, clothId, saving, body }: Props) {
  return (
    <>
      <p>
        <a className="font-semibold text-primary underline underline-offset-4" href="/hoop">
          Hoop
        </a>
        {' · '}
        <a className="font-semibold text-primary underline underline-offset-4" href={`/hoop/motifs/${motif.id}?cloth=${clothId}`}>
          {motif.name}
        </a>
      </p>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-bold">{hooping.name}</h1>
        <div className="flex items-center gap-3">
          <SavingWords state={saving} />
          <CopyHooping body={body} />
        </div>
      </div>
      {hooping.note && <p className="mt-1 border-l-4 border-accent pl-3">{hooping.note}</p>}
    </>
  );
}
