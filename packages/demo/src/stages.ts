/** How far a demo repair has come: each stage includes all before it. */
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
