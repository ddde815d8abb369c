import type { AidCard } from '@kelmot/core';

const common = { role: 'aid', version: 1, example: true } satisfies Partial<AidCard>;

/** What the job needs besides the repair material. Example figures. */
export const aidCards: AidCard[] = [
  {
    ...common,
    code: 'A-905',
    name: 'Degreaser',
    summary: 'Water-rinsed cleaner for oil and grease.',
    use: 'degreaser',
    flashOffMinutes: 0,
    coverageM2L: 6,
    packs: [{ id: 'A-905/1000', label: '1 l bottle', ml: 1000, price: 14 }],
    hazards: ['alkaline'],
    ppe: ['nitrile gloves', 'eye protection'],
    mustNotTouch: ['bare aluminium', 'skin'],
  },
  {
    ...common,
    code: 'A-910',
    name: 'Release agent',
    summary: 'Keeps paste off formers, studs and threads.',
    use: 'release',
    flashOffMinutes: 10,
    coverageM2L: 12,
    packs: [{ id: 'A-910/250', label: '250 ml tin', ml: 250, price: 19 }],
    hazards: ['solvent'],
    ppe: ['nitrile gloves'],
    mustNotTouch: ['the repair surface', 'brushes used for priming'],
  },
  {
    ...common,
    code: 'A-930',
    name: 'Isopropyl wipe',
    summary: 'Last wipe before mixing.',
    use: 'wipe',
    flashOffMinutes: 5,
    coverageM2L: 8,
    packs: [{ id: 'A-930/500', label: '500 ml bottle', ml: 500, price: 9 }],
    hazards: ['solvent', 'flammable'],
    ppe: ['nitrile gloves', 'eye protection'],
    mustNotTouch: ['ignition', 'polycarbonate guards'],
  },
];
