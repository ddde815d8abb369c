/** How far a demo repair has come: each stage includes all before it. */
export const STAGES = [
  'survey',
  'match',
  'gate-stopped',
  'prep',
  'placing',
  'between-coats',
  'curing',
  'cured',
  'closed',
] as const;
export type Stage = (typeof STAGES)[number];
