import type { WorkUp } from './workUp';

interface CautionRule {
  id: string;
  text: string;
  when: (work: WorkUp) => boolean;
}

const hazard = (name: string) => (work: WorkUp) => work.card.hazards.includes(name);

/** The usual cautions. Shown when the plan does or uses the thing; never a substitute for local rules. */
const table: CautionRule[] = [
  {
    id: 'isolate',
    text: 'Isolate, lock off, prove no pressure and no stored energy before opening.',
    when: () => true,
  },
  {
    id: 'hot-work',
    text: 'Grinding is hot work: permit, fire watch, no flammable vapour near.',
    when: ({ survey }) => survey.site.tools !== 'hand',
  },
  {
    id: 'area',
    text: 'Explosive area: non-sparking tools only, earth everything, gas test before each start.',
    when: ({ survey }) => survey.site.area !== 'safe',
  },
  { id: 'dust', text: 'Grinding dust: extract it, mask and eye protection on.', when: () => true },
  {
    id: 'solvent',
    text: 'Solvent wipes are flammable: no ignition, ventilate, rags into a closed metal bin.',
    when: () => true,
  },
  {
    id: 'amine',
    text: 'The hardener can make skin allergic for life: gloves, long sleeves, wash at once. No solvent on skin.',
    when: hazard('amine'),
  },
  {
    id: 'exotherm',
    text: 'Mixed material left in the pail gets hot and smokes: spread out what is left over.',
    when: hazard('exotherm'),
  },
  {
    id: 'acid',
    text: 'Corrosive residue in the pump: neutralise, flush, face shield.',
    when: ({ demand }) => ['mineral-acid', 'caustic', 'lime-milk'].includes(demand.service.medium),
  },
  {
    id: 'heat',
    text: 'Heating the casting: no naked flame on solvent-wet metal; hot surfaces.',
    when: ({ survey, card }) =>
      (survey.family === 'F2' && survey.parent.salts) || card.postCure !== undefined,
  },
  {
    id: 'blast',
    text: 'Blasting: air-fed helmet, area closed, hose restraint.',
    when: ({ survey }) => survey.site.tools === 'blast',
  },
  {
    id: 'waste',
    text: 'Unmixed parts and rags are hazardous waste: follow your site’s rules.',
    when: () => true,
  },
];

/** Cautions this job calls for, with who must approve where Kelmot does not decide. */
export function cautionsOf(work: WorkUp): { id: string; text: string }[] {
  return table.filter((c) => c.when(work)).map(({ id, text }) => ({ id, text }));
}
