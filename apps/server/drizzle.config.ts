import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: ['audit', 'people', 'plant', 'presence', 'repairs', 'shelf'].map(
    (name) => `./src/db/${name}.ts`,
  ),
  out: './drizzle',
});
