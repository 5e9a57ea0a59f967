import * as yup from 'yup';
import { shape } from './rules';

/** Whether the home network is let in. */
export const devicesSchema = shape({ open: yup.boolean().required() });
