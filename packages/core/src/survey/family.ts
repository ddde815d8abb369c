import type { z } from 'zod';
import type { SiteSettings } from '../plan/site';
import type { Demand } from './demand';
import type { DamageShape, Group } from './fields';

/** What a repair family brings: its tiles, its groups of fields, its schema, and what its damage asks of a material. */
export interface SurveyFamily {
  id: string;
  title: string;
  hint: string;
  /** Kinds of asset it is found on: what the picker offers first. */
  kinds: readonly string[];
  shapes: DamageShape[];
  groups: Group[];
  /** What is nearly always so, by path, as typed: filled in before anybody looks. */
  usual: Readonly<Record<string, string>>;
  schema: z.ZodType;
  demand: (survey: never, site: SiteSettings) => Demand;
}

/** Binds a family's demand to the survey its own schema gives. */
export function defineFamily<S extends z.ZodType>(
  spec: Omit<SurveyFamily, 'schema' | 'demand'> & {
    schema: S;
    demand: (survey: z.output<S>, site: SiteSettings) => Demand;
  },
): SurveyFamily {
  return spec as unknown as SurveyFamily;
}
