import { t } from '../text/text';
import type { Job } from '../job/job';
import type { Card } from '../materials/card';
import type { Hazard } from '../materials/hazards';
import { prepKindOf } from '../materials/substrates';
import { PERMISSION_NAMES, type Permission } from '../materials/words';
import type { CautionId } from '../work/cautions';
import type { Step } from '../work/step';
import { toolUsed } from '../work/work';

/** A job as the cautions read it: its steps, and every material in it. */
export interface JobInUse extends Pick<Job, 'work' | 'family'> {
  used: readonly Card[];
  steps: readonly Step[];
}

interface CautionRule {
  id: CautionId;
  text: string;
  when: (job: JobInUse) => boolean;
}

const hazard =
  (...names: Hazard[]) =>
  ({ used }: JobInUse) =>
    used.some((c) => c.hazards.some((h) => names.includes(h)));
/** A danger of the work itself: the family’s method names it. */
const trade =
  (id: CautionId) =>
  ({ family }: JobInUse) =>
    family.method.cautions.includes(id);
const does =
  (...names: Step['does'][]) =>
  ({ steps }: JobInUse) =>
    steps.some((s) => names.includes(s.does));
const always = () => true;

/** The usual cautions. Shown when the plan does or uses the dangerous thing; never a substitute for local rules. */
const table: CautionRule[] = [
  {
    id: 'isolate',
    text: t('Isolate, lock off, prove no pressure and no stored energy before opening.'),
    when: always,
  },
  {
    id: 'pressure',
    text: t(
      'Pressure: drained and vented before, raised in steps after, nobody in line with the repair. The law on pressure equipment decides.',
    ),
    when: (job) => trade('pressure')(job) || job.work.demand.pressureBar > 0,
  },
  {
    id: 'hot-work',
    text: t('Grinding is hot work: permit, fire watch, no flammable vapour near.'),
    when: ({ work }) => toolUsed(work) !== 'hand',
  },
  {
    id: 'area',
    text: t(
      'Explosive area: non-sparking tools only, earth everything, gas test before each start.',
    ),
    when: ({ work }) => work.survey.site.area !== 'safe',
  },
  {
    id: 'confined',
    text: t('Closed space: permit, gas test, air blown through, somebody outside.'),
    when: ({ work }) => work.demand.closed,
  },
  { id: 'dust', text: t('Grinding dust: extract it, mask and eye protection on.'), when: always },
  {
    id: 'silica',
    text: t('Concrete dust holds silica: wet or extracted, a P3 mask, never swept dry.'),
    when: (job) =>
      trade('silica')(job) ||
      (prepKindOf(job.work.demand.material) === 'concrete' && does('abrade')(job)),
  },
  {
    id: 'rubber-dust',
    text: t(
      'Rubber dust smoulders and harms the lungs: low speed, extraction, mask, no hot heap of it left.',
    ),
    when: trade('rubber-dust'),
  },
  {
    id: 'solvent',
    text: t('Solvents burn: no ignition, ventilate, rags into a closed metal bin.'),
    when: (job) => hazard('solvent', 'flammable')(job) || job.used.some((c) => c.flammable),
  },
  {
    id: 'no-ignition',
    text: t(
      'The filler’s solvent is highly flammable: no flame, spark or hot surface within five metres, air blown through.',
    ),
    when: (job) => trade('no-ignition')(job) && job.work.card.flammable,
  },
  {
    id: 'no-ship',
    text: t('It may not be shipped: buy it locally.'),
    when: (job) => trade('no-ship')(job) && job.work.card.flammable,
  },
  {
    id: 'amine',
    text: t(
      'The hardener can make skin allergic for life: gloves, long sleeves, wash at once. No solvent on skin.',
    ),
    when: hazard('amine'),
  },
  {
    id: 'isocyanate',
    text: t(
      'Isocyanate can make the lungs allergic for life: gloves, air, no spraying; nobody with asthma.',
    ),
    when: hazard('isocyanate'),
  },
  {
    id: 'acrylate',
    text: t('Uncured resin makes skin allergic: nitrile gloves, changed often.'),
    when: hazard('acrylate'),
  },
  {
    id: 'instant-bond',
    text: t('It bonds skin in seconds: glasses on, warm soapy water, never pull.'),
    when: hazard('instant-bond'),
  },
  {
    id: 'alkaline',
    text: t(
      'Alkaline, as wet cement and cleaners are: it burns skin and eyes. Gloves, glasses, rinse at once.',
    ),
    when: hazard('alkaline'),
  },
  {
    id: 'exotherm',
    text: t('Mixed material left in a bucket gets hot and smokes: spread leftovers thin.'),
    when: hazard('exotherm'),
  },
  {
    id: 'acid',
    text: t('Corrosive residue: neutralise, flush, face shield.'),
    when: ({ work }) =>
      ['mineral-acid', 'caustic', 'lime-milk'].includes(work.demand.service.medium),
  },
  {
    id: 'acid-etch',
    text: t(
      'Etch cleaner: acid into water, face shield, apron; neutralise before it goes to the drain.',
    ),
    when: ({ used }) => used.some((c) => c.role === 'aid' && c.use === 'etch'),
  },
  {
    id: 'heat',
    text: t('Heating: no naked flame on solvent-wet parts; hot surfaces.'),
    when: ({ steps }) => steps.some((s) => s.does === 'heat' || s.name === 'sweat'),
  },
  {
    id: 'blast',
    text: t('Blasting: air-fed helmet, area closed, hose restraint.'),
    when: ({ work }) => toolUsed(work) === 'blast',
  },
  {
    id: 'lamp',
    text: t('Curing lamp: goggles for its light on everybody near, never look in, hot in front.'),
    when: (job) => trade('lamp')(job) || hazard('lamp')(job),
  },
  {
    id: 'lamp-heat',
    text: t('A heating lamp: fixed, watched, nothing that burns near; solvent flashed off first.'),
    when: trade('lamp-heat'),
  },
  {
    id: 'moving',
    text: t(
      'A belt can run back by its own load: hold it, and the load, before a hand goes on it.',
    ),
    when: trade('moving'),
  },
  {
    id: 'tyre',
    text: t(
      'Tyres: wheel off load, core out, inflated in a cage by a remote hose; never stand in line with it.',
    ),
    when: trade('tyre'),
  },
  {
    id: 'discharge',
    text: t('Boards: unplugged, capacitors discharged and proved. Not for boards that guard life.'),
    when: trade('discharge'),
  },
  {
    id: 'injection',
    text: t('Injection under pressure: face shield, two pairs of gloves, nobody below the port.'),
    when: ({ steps }) => steps.some((s) => s.name === 'inject'),
  },
  {
    id: 'water',
    text: t('Work over or in water: life-jacket, line, rescue ready; divers are a licensed trade.'),
    when: trade('water'),
  },
  { id: 'alone', text: t('Nobody works alone here.'), when: trade('alone') },
  { id: 'height', text: t('Height: platform, harness, tools on lanyards.'), when: trade('height') },
  {
    id: 'traffic',
    text: t('Vehicles: lane closed, high-visibility, a banksman.'),
    when: trade('traffic'),
  },
  {
    id: 'high-voltage',
    text: t('High-voltage holiday test: earthed, dry, no vapour, nobody with a pacemaker.'),
    when: ({ steps }) => steps.some((s) => s.name === 'holiday' && s.figures.includes('holiday')),
  },
  {
    id: 'waste',
    text: t('Unmixed parts, leftovers and rags are hazardous waste: follow your site’s rules.'),
    when: always,
  },
];

/** The cautions for this job. */
export const cautionsOf = (job: JobInUse): { id: CautionId; text: string }[] =>
  table.filter((c) => c.when(job)).map(({ id, text }) => ({ id, text }));

/** The mask against concrete dust, whatever the cards say. */
const SILICA_MASK = 'P3 mask';

/** Every glove, mask and shield that a material or tool needs, each once. */
export function gearOf(job: JobInUse): string[] {
  const silica = cautionsOf(job).some((c) => c.id === 'silica');
  const all = [...new Set([...job.used.flatMap((c) => c.ppe), ...(silica ? [SILICA_MASK] : [])])];
  // "Two pairs of gloves" includes "gloves".
  return all.filter((g) => !all.some((other) => other.startsWith(`${g},`)));
}

/** Who must approve what Kelmot does not decide. */
export function approversOf({ steps, work }: JobInUse): string[] {
  const asked = steps.flatMap((s): Permission[] =>
    s.hold?.kind === 'approval' ? [s.hold.who] : [],
  );
  const card: Permission[] = work.card.permission === 'none' ? [] : [work.card.permission];
  return [...new Set([...card, ...asked])].map((who) => PERMISSION_NAMES[who]);
}
