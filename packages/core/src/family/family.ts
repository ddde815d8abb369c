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
import type { Figure } from '../work/figure';
import type { Round } from '../work/round';
import type { Draft, StepDraft } from '../work/step';
import type { Need } from '../work/supplies';
import type { Trade } from '../trade/trade';
import type { Work } from '../work/work';

/** The survey of a family: its shapes, its groups of fields, its schema, and its demand on a material. */
export interface SurveySpec<S extends z.ZodType = z.ZodType> {
  id: string;
  title: string;
  hint: string;
  /** Kinds of asset it is usual on: offered first. */
  kinds: readonly string[];
  shapes: DamageShape[];
  groups: Group[];
  /** Answers that are nearly always the same, by path, as typed: filled in at the start. */
  usual: Readonly<Record<string, string>>;
  schema: S;
  demand: (survey: z.output<S>, site: SiteSettings) => Demand;
}
/** Binds a family's demand to its survey schema, and collects the usual answers of its fields. */
export const surveyOf = <S extends z.ZodType>(spec: SurveySpec<S>): SurveySpec<S> => ({
  ...spec,
  usual: { ...usualOf(spec.groups), ...spec.usual },
});

/** The usual answers that fields declare themselves, by path. */
const usualOf = (groups: readonly Group[]): Record<string, string> =>
  Object.fromEntries(
    groups.flatMap(({ id, fields }) =>
      Object.entries(fields).flatMap(([key, { usual }]) =>
        usual === undefined ? [] : [[`${id}.${key}`, usual]],
      ),
    ),
  );

/** How the repair is done: rounds and steps in working order, and other needs. */
export interface Method<S> {
  draft: (work: Work<S>) => Draft;
  /** How to remove this repair. */
  removal: (work: Work<S>) => Message[];
  /** Cautions that no card names. */
  cautions: readonly CautionId[];
  /** Questions on which practitioners differ and whose answer changes this method. */
  schools: readonly SchoolId[];
  /** Days from return to service to the next look. */
  nextLookDays: (trade: Trade) => Record<Intent, number>;
  /** Ids of its own steps and figures. */
  stepIds: readonly string[];
  figureIds: readonly string[];
}

/** The parts of a draft. `steps`, `needs` and `figures` are calculated from the result of `rounds`. */
interface DraftParts<S, R extends { rounds: Round[] }> {
  rounds: (work: Work<S>) => R;
  steps: (made: R) => StepDraft[];
  needs: (made: R) => Need[];
  figures?: (made: R) => Figure[];
}

/** Makes the draft of a method from its parts. */
export const draftFrom =
  <S, R extends { rounds: Round[] }>({ rounds, steps, needs, figures }: DraftParts<S, R>) =>
  (work: Work<S>): Draft => {
    const made = rounds(work);
    return {
      rounds: made.rounds,
      steps: steps(made),
      needs: needs(made),
      figures: () => figures?.(made) ?? [],
    };
  };

interface Spec<S extends z.ZodType> {
  survey: SurveySpec<S>;
  method: Method<z.output<S>>;
  section: (damage: DamageOf<z.output<S>>, text: Lettering) => SectionSpec;
  /** The usual substrate: drawn until the survey says it. */
  typicalParent: Substrate;
  /** Most damages in one repair. */
  mostDamages: number;
}
type DamageOf<T> = T extends { damages: (infer D)[] } ? D : never;

/** A repair family as every list and screen uses it. */
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
