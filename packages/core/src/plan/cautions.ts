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
    text: t('Isolate and lock off before you open anything. Stored energy and pressure kill.'),
    when: always,
  },
  {
    id: 'pressure',
    text: t(
      'Drain and vent before the work. Raise the pressure in steps, with nobody in line with the repair. The law on pressure equipment decides.',
    ),
    when: (job) => trade('pressure')(job) || job.work.demand.pressureBar > 0,
  },
  {
    id: 'hot-work',
    text: t('Get a hot work permit and a fire watch. Sparks light vapour.'),
    when: ({ steps }) => steps.some((s) => s.sparks),
  },
  {
    id: 'area',
    text: t(
      'Use only non-sparking tools. Earth all equipment and test for gas before each start. The area can explode.',
    ),
    when: ({ work }) => work.survey.site.area !== 'safe',
  },
  {
    id: 'confined',
    text: t(
      'Do not enter the closed space without a permit, a gas test, fresh air and a person outside. Bad air kills.',
    ),
    when: ({ work }) => work.demand.closed,
  },
  {
    id: 'dust',
    text: t('Wear a dust mask and eye protection, and extract the dust. It harms lungs and eyes.'),
    when: does('abrade'),
  },
  {
    id: 'silica',
    text: t(
      'Wear a P3 mask, work wet or with extraction, and never sweep dry. Concrete dust holds silica.',
    ),
    when: (job) =>
      trade('silica')(job) ||
      (prepKindOf(job.work.demand.material) === 'concrete' && does('abrade')(job)),
  },
  {
    id: 'rubber-dust',
    text: t(
      'Buff at low speed, with a mask and extraction. Leave no heap of rubber dust: it can smoulder.',
    ),
    when: trade('rubber-dust'),
  },
  {
    id: 'solvent',
    text: t(
      'Keep flames and sparks away, ventilate, and put rags into a closed metal bin. Solvents burn.',
    ),
    when: (job) => hazard('solvent', 'flammable')(job) || job.used.some((c) => c.flammable),
  },
  {
    id: 'no-ignition',
    text: t(
      'Keep flames, sparks and hot parts five metres away, and blow fresh air over the place. The solvent of the filler burns easily.',
    ),
    when: (job) => trade('no-ignition')(job) && job.work.card.flammable,
  },
  {
    id: 'no-ship',
    text: t('Buy the solvent near the site. It may not be sent by post.'),
    when: (job) => trade('no-ship')(job) && job.work.card.flammable,
  },
  {
    id: 'amine',
    text: t(
      'Wear gloves and long sleeves, and wash splashes off at once with soap. The hardener can cause an allergy for life.',
    ),
    when: hazard('amine'),
  },
  {
    id: 'isocyanate',
    text: t(
      'Wear gloves, ventilate, and do not spray. Isocyanate can cause an allergy for life; people with asthma keep away.',
    ),
    when: hazard('isocyanate'),
  },
  {
    id: 'acrylate',
    text: t('Wear nitrile gloves and change them often. Uncured resin can cause an allergy.'),
    when: hazard('acrylate'),
  },
  {
    id: 'instant-bond',
    text: t(
      'Wear glasses. If skin sticks together, use warm soapy water and never pull. It bonds skin in seconds.',
    ),
    when: hazard('instant-bond'),
  },
  {
    id: 'alkaline',
    text: t(
      'Wear gloves and glasses, and rinse splashes at once. Alkaline cleaners and wet cement burn skin and eyes.',
    ),
    when: hazard('alkaline'),
  },
  {
    id: 'exotherm',
    text: t(
      'Spread what is left in a thin layer. Mixed material in a container gets hot and smokes.',
    ),
    when: hazard('exotherm'),
  },
  {
    id: 'acid',
    text: t(
      'Wear a face shield, and neutralise and flush what is left of the product. It burns skin and eyes.',
    ),
    when: ({ work }) =>
      ['mineral-acid', 'caustic', 'lime-milk'].includes(work.demand.service.medium),
  },
  {
    id: 'acid-etch',
    text: t(
      'Wear a face shield and an apron, and pour acid into water, never water into acid. Neutralise it before it goes to the drain.',
    ),
    when: ({ used }) => used.some((c) => c.role === 'aid' && c.use === 'etch'),
  },
  {
    id: 'heat',
    text: t('Use no open flame near solvent, and do not touch hot parts. Heat burns.'),
    when: ({ steps }) => steps.some((s) => s.does === 'heat' || s.name === 'sweat'),
  },
  {
    id: 'blast',
    text: t('Wear an air-fed helmet, close the area and secure the hose. Blast grit injures.'),
    when: ({ work, steps }) =>
      toolUsed(work) === 'blast' &&
      ['metal', 'concrete'].includes(prepKindOf(work.demand.material)) &&
      steps.some((s) => s.name === 'grade'),
  },
  {
    id: 'lamp',
    text: t(
      'Wear lamp goggles, everybody near. Never look into the curing lamp: its light harms the eyes.',
    ),
    when: (job) => trade('lamp')(job) || hazard('lamp')(job),
  },
  {
    id: 'lamp-heat',
    text: t('Fix and watch a heating lamp. Let solvent dry first: it can catch fire.'),
    when: trade('lamp-heat'),
  },
  {
    id: 'moving',
    text: t(
      'Lock the belt and hold its load before you touch it. A belt can run back by its own load.',
    ),
    when: trade('moving'),
  },
  {
    id: 'tyre',
    text: t(
      'Take the load off the wheel and the core out. Inflate in a cage by a remote hose, out of line: a tyre can burst.',
    ),
    when: trade('tyre'),
  },
  {
    id: 'discharge',
    text: t(
      'Unplug the board and discharge its capacitors. Do not repair boards that protect life.',
    ),
    when: trade('discharge'),
  },
  {
    id: 'injection',
    text: t(
      'Wear a face shield and two pairs of gloves, and keep everybody from below the port. Resin can spray.',
    ),
    when: ({ steps }) => steps.some((s) => s.name === 'inject'),
  },
  {
    id: 'water',
    text: t('Wear a life-jacket and a line, with a rescuer ready. Only licensed divers dive.'),
    when: trade('water'),
  },
  { id: 'alone', text: t('Do not work alone here.'), when: trade('alone') },
  {
    id: 'height',
    text: t('Use a platform and a harness, and tie tools to a line. Falls and falling tools kill.'),
    when: trade('height'),
  },
  {
    id: 'traffic',
    text: t(
      'Close the lane, wear high-visibility clothing, and let a person guide vehicles. Vehicles kill.',
    ),
    when: trade('traffic'),
  },
  {
    id: 'high-voltage',
    text: t(
      'Earth the part, keep it dry and free of vapour, and keep people with a pacemaker away. The test uses high voltage.',
    ),
    when: ({ steps }) => steps.some((s) => s.name === 'holiday' && s.figures.includes('holiday')),
  },
  {
    id: 'waste',
    text: t(
      'Throw unmixed parts, leftovers and rags away by the rules of your site. They are hazardous waste.',
    ),
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
