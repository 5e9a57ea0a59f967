import * as yup from 'yup';
import { schoolsSchema } from './choose';
import { number, oneOf, shape, text } from './rules';

export const settingsSchema = shape({
  units: oneOf(['metric', 'inch'] as const).required(),
  theme: oneOf(['workroom', 'lamplight', 'system'] as const).required(),
  currency: text(4, 1).required(),
  soleLength: number({ min: 50, max: 1000 }).required(),
  soleWidth: number({ min: 30, max: 600 }).required(),
  ironSteam: yup.boolean().default(true),
  ironWeight: number({ min: 100, max: 20_000 }).default(1400),
  boardLength: number({ min: 200, max: 5000 }).default(1200),
  boardWidth: number({ min: 150, max: 3000 }).default(380),
  pressLength: number({ min: 0, max: 2000 }).default(0),
  pressWidth: number({ min: 0, max: 2000 }).default(0),
  mlPerPull: number({ above: 0, max: 20 }).default(0.9),
  airTemperature: number({ min: 0, max: 60 }).default(20),
  airHumidity: number({ min: 0, max: 99 }).default(50),
  airSpeed: number({ min: 0, max: 20 }).default(0),
  stopOverlap: number({ min: 0, max: 100 }).required(),
  machineClearance: number({ min: 1, max: 30 }).required(),
  trim: number({ min: 0, max: 50 }).required(),
  sound: yup.boolean().required(),
  schools: schoolsSchema.default({}),
});
