import { DoorOpen } from 'lucide-react';
import { call } from '../../ui/api';
import { useWrite } from '../../ui/query';

/** The way into the practice house. */
export default function PracticePanel() {
  const going = useWrite(() => call<{ address: string }>('POST', '/api/practice'), {
    onSuccess: ({ address }) => location.assign(address),
  });
  return (
    <section className="sheet space-y-3 p-5" aria-labelledby="practice">
      <h2 id="practice" className="chalk-heading">
        Practice
      </h2>
      <p>
        A made-up house beside your own, full of the demo’s cloths, projects and motifs: try anything in it. It has a file and an
        address of its own, and nothing of it comes into yours.
      </p>
      <button type="button" className="btn" disabled={going.isPending} onClick={() => going.mutate()}>
        <DoorOpen size={18} aria-hidden="true" /> {going.isPending ? 'Opening …' : 'Go into the practice house'}
      </button>
      {going.error && (
        <p role="alert" className="font-semibold text-error">
          {going.error.message}
        </p>
      )}
    </section>
  );
}
