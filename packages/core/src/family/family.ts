import type { z } from 'zod';
import type { Substrate } from '../materials/substrates';
import type { Intent } from '../materials/words';
import type { Message } from '../message/message';
import type { Lettering, SectionSpec } from '../section/spec';
import type { SiteSettings } from '../site/site';
import type { Demand } from '../survey/demand';
import type { DamageShape, Group } from '../survey/fields';
import type { CautionId } from '../work/cautions';
import type { SchoolId } from '../work/schools';
import type { Draft } from '../work/step';
import type { Work } from '../work/work';

/** The survey of a family: its tiles, its groups of fields, its schema, and what its damage asks of a material. */
export interface SurveySpec<S extends z.ZodType = z.ZodType> {
  id: string;
  title: string;
  hint: string;
  /** Kinds of asset it is found on: what the picker offers first. */
  kinds: readonly string[];
  shapes: DamageShape[];
  groups: Group[];
  /** What is nearly always so, by path, as typed: filled in before anybody looks. */
  usual: Readonly<Record<string, string>>;
  schema: S;
  demand: (survey: z.output<S>, site: SiteSettings) => Demand;
}
/** Binds a family's demand to the survey its own schema gives, and takes in what its fields usually are. */
export const surveyOf = <S extends z.ZodType>(spec: SurveySpec<S>): SurveySpec<S> => ({
  ...spec,
  usual: { ...usualOf(spec.groups), ...spec.usual },
});

/** The usual answers that fields bring themselves, by path. */
const usualOf = (groups: readonly Group[]): Record<string, string> =>
  Object.fromEntries(
    groups.flatMap(({ id, fields }) =>
      Object.entries(fields).flatMap(([key, { usual }]) =>
        usual === undefined ? [] : [[`${id}.${key}`, usual]],
      ),
    ),
  );

/** How it is done: rounds and steps in the order people work, and what it needs besides. */
export interface Method<S> {
  draft: (work: Work<S>) => Draft;
  /** How this repair would come off. */
  removal: (work: Work<S>) => Message[];
  /** Cautions of the trade that no card names. */
  cautions: readonly CautionId[];
  /** Questions on which practitioners differ, and that it answers differently by the choice. */
  schools: readonly SchoolId[];
  /** Days to the next look after return to service. */
  nextLookDays: Record<Intent, number>;
  /** Ids of the steps and figures that are its own. */
  stepIds: readonly string[];
  figureIds: readonly string[];
}

interface Spec<S extends z.ZodType> {
  survey: SurveySpec<S>;
  method: Method<z.output<S>>;
  section: (damage: DamageOf<z.output<S>>, text: Lettering) => SectionSpec;
  /** What it is usually made of: drawn until the survey says. */
  typicalParent: Substrate;
  /** The most damages one repair of it takes. */
  mostDamages: number;
}
type DamageOf<T> = T extends { damages: (infer D)[] } ? D : never;

/** A repair family as every list and screen sees it: the one shape of all of them. */
export interface Family extends Omit<SurveySpec, 'demand'> {
  demand: (survey: never, site: SiteSettings) => Demand;
  method: Omit<Method<never>, 'draft' | 'removal'> & {
    draft: (work: never) => Draft;
    removal: (work: never) => Message[];
  };
  section: (damage: never, text: Lettering) => SectionSpec;
  typicalParent: Substrate;
  mostDamages: number;
}

/** Binds survey, method and section to one schema. */
export const defineFamily = <S extends z.ZodType>({
  survey,
  ...rest
}: Spec<S>): Family & { schema: S } =>
  ({ ...survey, ...rest }) as unknown as Family & { schema: S };
