import { t } from '../text/text';
import { z } from 'zod';
import { Moment, typedText } from '../calc/typed';
import { TOOLS, TOOL_NAMES, type Substrate } from '../materials/substrates';
import {
  APPROVALS,
  APPROVAL_NAMES,
  AREAS,
  AREA_NAMES,
  DAMP,
  DAMP_NAMES,
  DILUTED,
  INTENTS,
  MEDIA,
  MEDIUM_PH,
  MEDIUM_NAMES,
  NEARBY,
  NEARBY_NAMES,
  OLD_REPAIRS,
  OLD_REPAIR_NAMES,
  SLOPES,
  SLOPE_NAMES,
  WEAR,
  WEAR_NAMES,
} from '../materials/words';
import {
  amount,
  amountIfKnown,
  amountWhen,
  choice,
  flag,
  laterChoice,
  laterFlag,
  schemasOf,
  type Group,
} from './fields';

/** Parts of a survey that most families ask, in the order of inspection: service, position, time, place. */
const serviceFields = {
  medium: choice(MEDIA, MEDIUM_NAMES, {
    label: t('Medium'),
    why: t('Each material stands some media and not others.'),
  }),
  concPct: amountWhen('percent', {
    label: t('Strength'),
    why: t('Strong and weak are two different chemicals.'),
    min: 0.1,
    max: 100,
    step: 1,
    when: { key: 'medium', in: DILUTED },
  }),
  ph: amount('ph', {
    label: 'pH',
    why: t('Lime and acid cleaning are what paste fails to.'),
    typical: '7',
    follows: {
      path: 'service.medium',
      usual: (medium) => (MEDIUM_PH as Partial<Record<string, string>>)[medium],
    },
    min: 0,
    max: 14,
    step: 0.1,
  }),
  mediumC: amount('temperature', {
    label: t('Medium temperature'),
    why: t('Wet heat decides more than any other figure.'),
    typical: '30 °C',
    min: -40,
    max: 250,
    step: 1,
  }),
  wear: choice(WEAR, WEAR_NAMES, {
    label: t('Wear'),
    why: t('It asks for a filler as hard as what passes.'),
  }),
  approval: laterChoice(
    ['none', ...APPROVALS],
    { none: t('None'), ...APPROVAL_NAMES },
    { label: t('Approved for'), why: t('Only materials with a certificate for it may be used.') },
  ),
};

const surfaceFields = {
  damp: choice(DAMP, DAMP_NAMES, {
    label: t('Surface now'),
    why: t('Most paste lets go of a wet surface.'),
  }),
  slope: choice(SLOPES, SLOPE_NAMES, {
    label: t('Slope'),
    why: t('Thick coats sag on a wall and overhead.'),
  }),
};

/** The longest stop, minutes: 60 days. */
export const MOST_DOWN_MIN = 60 * 24 * 60;

const windowFields = {
  downMin: amount('time', {
    label: t('Down for'),
    why: t('The cure must end inside it.'),
    typical: '24 h',
    min: 10,
    max: MOST_DOWN_MIN,
    step: 30,
  }),
};

const areaFields = {
  area: choice(AREAS, AREA_NAMES, {
    label: t('Explosive area'),
    why: t('No sparks and no blasting in one.'),
  }),
  tools: choice(TOOLS, TOOL_NAMES, {
    label: t('Best available tool'),
    why: t('It sets the grade you can reach.'),
    typical: 'blast',
  }),
  nearby: choice(
    ['none', ...NEARBY] as const,
    { none: t('Nothing'), ...NEARBY_NAMES },
    {
      label: t('Close by'),
      why: t('Solvent and resin spoil some things.'),
    },
  ),
  ignition: laterChoice(
    ['stopped', 'stays'],
    { stopped: t('None, or it can be stopped'), stays: t('Cannot be stopped') },
    {
      label: t('Flame, spark or hot part near'),
      why: t('Solvent vapour finds it; what cannot be stopped rules solvents out.'),
    },
  ),
  closed: flag({
    label: t('Closed space, little air'),
    why: t('Vapour gathers in pits, tanks and cowls.'),
  }),
  outdoors: laterFlag({
    label: t('Out of doors'),
    why: t('Then the weather decides when it may be mixed, and how it cures.'),
  }),
};

const grows = { key: 'grows', in: ['yes'] } as const;
/** Earlier repairs here, and what happens if nothing is done. */
const pastFields = {
  old: choice(OLD_REPAIRS, OLD_REPAIR_NAMES, {
    label: t('Old repair on it'),
    why: t('It comes off first; how it failed says what to use now.'),
  }),
  grows: choice(
    ['no', 'yes'] as const,
    { no: t('Not known'), yes: t('It grows') },
    { label: t('If it is left alone'), why: t('Doing nothing has a cost as well.') },
  ),
  nowMm: amountWhen('length', {
    label: t('Size now'),
    why: t('Where its growth starts.'),
    min: 0.1,
    max: 100_000,
    step: 1,
    when: grows,
  }),
  mmPerWeek: amountWhen('length', {
    label: t('Growth a week'),
    why: t('From two looks, a week or more apart.'),
    min: 0.01,
    max: 10_000,
    step: 1,
    when: grows,
  }),
  stopsAtMm: amountWhen('length', {
    label: t('Size at which it must stop'),
    why: t('There the choice is no longer yours.'),
    min: 0.1,
    max: 200_000,
    step: 1,
    when: grows,
  }),
  stopMin: amountWhen('time', {
    label: t('Such a stop lasts'),
    why: t('Unplanned, with a new part to fetch.'),
    min: 10,
    max: 60 * 24 * 90,
    step: 60,
    when: grows,
  }),
  quoteCost: amountIfKnown('money', {
    label: t('A contractor’s price'),
    why: t('If one was asked; empty if not.'),
    min: 0,
    max: 1e7,
    step: 100,
  }),
  quoteMin: amountIfKnown('time', {
    label: t('Done by the contractor in'),
    why: t('From now until it runs again.'),
    min: 10,
    max: 60 * 24 * 365,
    step: 1440,
  }),
  partCost: amountIfKnown('money', {
    label: t('A new part, fitted'),
    why: t('If it was asked; empty if not.'),
    min: 0,
    max: 1e7,
    step: 100,
  }),
  partMin: amountIfKnown('time', {
    label: t('The part is here and fitted in'),
    why: t('Its lead time decides as much as its price.'),
    min: 10,
    max: 60 * 24 * 730,
    step: 1440,
  }),
};
/** Defaults for a survey stored before this question existed. */
const noPast = {
  old: 'none',
  grows: 'no',
  nowMm: null,
  mmPerWeek: null,
  stopsAtMm: null,
  stopMin: null,
  quoteCost: null,
  quoteMin: null,
  partCost: null,
  partMin: null,
} as const;

/** Service of a family that does not ask for it: air, without wear. */
const noService = {
  medium: 'air',
  concPct: null,
  ph: 7,
  mediumC: 20,
  wear: 'none',
  approval: 'none',
} as const;

export const readingFields = {
  airC: amount('temperature', {
    label: t('Air'),
    why: t('For the dew point.'),
    typical: '20 °C',
    min: -40,
    max: 60,
    step: 0.5,
  }),
  rhPct: amount('percent', {
    label: t('Humidity'),
    why: t('For the dew point.'),
    typical: '50 %',
    min: 1,
    max: 100,
    step: 1,
  }),
  surfaceC: amount('temperature', {
    label: t('Surface'),
    why: t('Working life and cure run on it.'),
    typical: '20 °C',
    min: -40,
    max: 120,
    step: 0.5,
  }),
};

export const commonGroups = {
  service: { id: 'service', title: t('What it must stand'), fields: serviceFields },
  surface: { id: 'surface', title: t('How it lies'), fields: surfaceFields },
  past: { id: 'past', title: t('Before, and if left alone'), fields: pastFields },
  window: { id: 'window', title: t('How long it may be down'), fields: windowFields },
  site: { id: 'site', title: t('Around it'), fields: areaFields },
  readings: { id: 'readings', title: t('Readings'), fields: readingFields },
} satisfies Record<string, Group>;

/** Most characters of an asset's texts. */
export const ASSET_MOST = { tag: 24, name: 80, position: 80 } as const;

export const commonShape = {
  version: z.literal(1),
  asset: z.strictObject({
    id: z.uuid().nullable(),
    tag: typedText(ASSET_MOST.tag, 1),
    name: typedText(ASSET_MOST.name, 1),
    position: typedText(ASSET_MOST.position),
    costPerHour: z.number().min(0).max(1e7),
  }),
  intent: z.enum(INTENTS),
  service: z.strictObject(schemasOf(serviceFields)).default({ ...noService }),
  surface: z.strictObject(schemasOf(surfaceFields)),
  past: z.strictObject(schemasOf(pastFields)).default({ ...noPast }),
  window: z.strictObject({ ...schemasOf(windowFields), startAt: Moment }),
  site: z.strictObject(schemasOf(areaFields)),
  readings: z.strictObject(schemasOf(readingFields)),
};

/** Usual values of the common groups, as typed. */
export const commonUsual = {
  'surface.damp': 'dry',
  'surface.slope': 'level',
  'site.area': 'safe',
  'site.nearby': 'none',
  'site.closed': 'no',
  'site.outdoors': 'no',
  'past.old': 'none',
  'past.grows': 'no',
  'service.wear': 'none',
} as const;

/** The last groups of every survey, in the order of inspection. */
export const closingGroups = [
  commonGroups.surface,
  commonGroups.past,
  commonGroups.window,
  commonGroups.site,
  commonGroups.readings,
];

/** The parts of every survey, of any family. */
export interface SurveyBase extends z.output<z.ZodObject<typeof commonShape>> {
  family: string;
  parent: { material: Substrate };
  damages: readonly { shape: string }[];
}
