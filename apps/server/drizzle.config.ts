import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: ['./src/db/people.ts', './src/db/plant.ts', './src/db/repairs.ts', './src/db/shelf.ts'],
  out: './drizzle',
});
