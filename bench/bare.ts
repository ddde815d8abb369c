import { serve } from '@hono/node-server';
import { Hono } from 'hono';
import { openDatabase } from '@kelmot/server/db/client';

/** The baseline of the load bench: Hono with one SELECT or one INSERT through the same pool, and nothing else. */
const { pool } = openDatabase(process.env.DATABASE_URL ?? '');
const app = new Hono();
app.get('/one/:id', async (c) => {
  const { rows } = await pool.query({
    name: 'one',
    text: 'select p.body from plans p join repairs r on r.plan_id = p.id where r.id = $1',
    values: [c.req.param('id')],
  });
  return c.json(rows[0]);
});
app.get('/list', async (c) => {
  const { rows } = await pool.query({
    name: 'list',
    text: "select r.id, r.tag, r.asset_name, r.title, r.station, r.updated_at, p.summary from repairs r left join plans p on p.id = r.plan_id where r.status = 'open' order by r.updated_at desc limit 100",
  });
  return c.json(rows);
});
app.post('/one', async (c) => {
  const { id, note } = await c.req.json<{ id: string; note: string }>();
  await pool.query({
    name: 'write',
    text: 'insert into bench_writes (id, note) values ($1, $2)',
    values: [id, note],
  });
  return c.json({ ok: true });
});
serve({ fetch: app.fetch, port: 0 }, ({ port }) =>
  process.stdout.write(`BARE_URL http://127.0.0.1:${port}\n`),
);
