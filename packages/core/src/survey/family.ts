import type { z } from 'zod';
import type { DamageShape, Group } from './fields';

/** What the survey screen needs of a repair family: its tiles, its groups of fields, and its schema. */
export interface SurveyFamily {
  id: string;
  title: string;
  hint: string;
  shapes: DamageShape[];
  groups: Group[];
  schema: z.ZodType;
}
