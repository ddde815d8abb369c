import type { DemoUser } from '@kelmot/contract';

/** Made-up people of the demo. They share one password: it protects nothing. */
export const demoUsers: DemoUser[] = [
  {
    username: 'ida',
    password: 'quillmere-demo',
    name: 'Ida Marl',
    role: 'technician',
    approves: [],
  },
  {
    username: 'tomas',
    password: 'quillmere-demo',
    name: 'Tomas Rell',
    role: 'planner',
    approves: [],
  },
  { username: 'vera', password: 'quillmere-demo', name: 'Vera Onsk', role: 'viewer', approves: [] },
  {
    username: 'orla',
    password: 'quillmere-demo',
    name: 'Orla Venn',
    role: 'technician',
    approves: ['pressure-engineer', 'structural-engineer'],
  },
];
