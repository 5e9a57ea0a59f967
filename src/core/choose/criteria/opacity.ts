import type { Criterion } from '../protocol';
import { seeThrough } from '../see-through';
import { ramp } from './criterion';

/** Feels opaque from here, veiled from there, %. */
const OPAQUE = 95;
const VEILED = 80;

/** Whether the part becomes as opaque as was asked. */
export const opacity: Criterion = {
  id: 'opacity',
  name: 'Becomes opaque',
  serves: 70,
  weight: ({ wishes }) => (wishes.opaque === true ? 30 : 0),
  score: ({ layers, question }) => {
    const backed = seeThrough(question.fabric, layers).backed.opacity;
    if (backed >= OPAQUE) return 100;
    return backed >= VEILED ? ramp(backed, VEILED, 35, OPAQUE, 88) : ramp(backed, 40, 0, VEILED, 35);
  },
  why: ({ layers, question }) => {
    const { bare, backed } = seeThrough(question.fabric, layers);
    const [from, to] = [Math.round(bare.opacity), Math.round(backed.opacity)];
    if (to >= OPAQUE) return `Opaque: ${to} % where ${from} % was the bare cloth.`;
    return to >= VEILED ? `Still veiled: ${to} %, bare ${from} %.` : `What lies behind is still seen: ${to} %, bare ${from} %.`;
  },
};
