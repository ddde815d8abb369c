/** Progress of a demo repair: each stage includes all before it. */
export type Stage =
  | 'survey'
  | 'match'
  | 'gate-stopped'
  | 'prep'
  | 'placing'
  | 'between-coats'
  | 'curing'
  | 'cured'
  | 'closed';
