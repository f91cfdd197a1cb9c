import { type InferType, object, string } from 'yup';
import '../judgement/sentences.ts';

/** Who did something, and in what role. */
export const authorSchema = object({
  id: string().min(1).max(40).required(),
  name: string().min(1).max(60).required(),
  role: string()
    .oneOf(['fitter', 'lead', 'viewer'] as const)
    .required(),
})
  .noUnknown()
  .required();
export type Author = InferType<typeof authorSchema>;
export type Role = Author['role'];
