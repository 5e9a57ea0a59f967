import * as yup from 'yup';
import { shape, text } from './rules';

/** What was learnt, and whether it is to be forgotten. */
export const learntSchema = shape({ subject: text(600, 1).required(), forgotten: yup.boolean().required() });
