import { bodyParser } from '@koa/bodyparser';
import Koa from 'koa';
import mariadb from 'mariadb';

/** What the house is held against: Koa with the same driver on the same database, one durable INSERT or one SELECT, and nothing else. */
const pool = mariadb.createPool({
  host: '127.0.0.1',
  port: Number(process.env.FULCRANT_DB_PORT),
  user: process.env.FULCRANT_DB_USER ?? '',
  password: process.env.FULCRANT_DB_PASSWORD ?? '',
  database: 'fulcrant',
  connectionLimit: 8,
});
await pool.query(
  'CREATE TABLE IF NOT EXISTS bare (id INT AUTO_INCREMENT PRIMARY KEY, body MEDIUMTEXT NOT NULL)',
);
const app = new Koa();
app.use(bodyParser({ enableTypes: ['json'], jsonLimit: '512kb' }));
app.use(async (ctx) => {
  const body = (ctx.request as { body?: unknown }).body;
  if (ctx.method === 'POST') {
    await pool.query('INSERT INTO bare (body) VALUES (?)', [JSON.stringify(body)]);
    ctx.body = { stored: 1 };
  } else if (ctx.path === '/row') {
    const rows = await pool.query('SELECT id, event_count, summary FROM jobs WHERE id = ?', [
      String(ctx.query.job),
    ]);
    ctx.body = rows[0];
  } else {
    const rows = await pool.query('SELECT body FROM events WHERE job_id = ? ORDER BY seq', [
      String(ctx.query.job),
    ]);
    ctx.type = 'application/json';
    ctx.body = `[${rows.map((r: { body: string }) => r.body).join(',')}]`;
  }
});
app.listen(Number(process.env.PORT), '127.0.0.1');
