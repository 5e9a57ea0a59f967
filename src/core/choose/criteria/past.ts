import type { Criterion } from '../protocol';

/** How a stack came out on this very cloth before: the person's own logbook. */
export const past: Criterion = {
  id: 'past',
  name: 'Past results',
  weight: ({ memory }) => (memory.size > 0 ? 8 : 0),
  score: ({ record }) => {
    if (!record) return 70;
    const tried = record.good + record.fair + record.poor;
    // One more, neutral, result keeps a single trial from deciding everything.
    return (100 * record.good + 55 * record.fair + 70) / (tried + 1);
  },
  why: ({ record }) => {
    if (!record) return 'Not tried on this cloth yet.';
    const words = [
      record.good > 0 ? `${record.good} came out well` : '',
      record.fair > 0 ? `${record.fair} passable` : '',
      record.poor > 0 ? `${record.poor} went wrong` : '',
      record.mishaps ? `${record.mishaps} spoilt by how it was done` : '',
    ].filter(Boolean);
    return `On this cloth: ${words.join(', ')}.`;
  },
};
