import type { Shape } from '../geometry/shapeVolume';
import type { MilestoneId } from '../materials/card';
import type { Intent } from '../materials/words';
import type { SiteSettings } from '../plan/site';
import type { StepDraft } from '../plan/step';
import type { WorkUp } from '../plan/workUp';
import type { Survey } from '../survey/survey';

/** A damage as the sums see it: the solid to fill, how thick it is built, what wall is left behind it. */
export interface Body {
  title: string;
  shape: Shape;
  buildMm: number;
  remainingMm: number | null;
  /** Survey paths whose figures make this volume: where a person goes to change it. */
  paths: string[];
}

/** How one repair family is done: its geometry, its steps, its milestones. One file a family. */
export interface Method {
  family: Survey['family'];
  bodies: (survey: Survey, site: SiteSettings) => Body[];
  needed: (survey: Survey) => MilestoneId;
  steps: (work: WorkUp) => StepDraft[];
  /** Days to the next look after return to service. */
  nextLookDays: Record<Intent, number>;
}
