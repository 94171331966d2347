import { expect } from 'chai';
import postgres from 'postgres';
import { until } from '../support/started.ts';
import { refusal } from '../support/refusal.ts';

/**
 * What `src/server/db` takes the driver to do. A newer one that fails here does otherwise: look at what a test names before it is
 * taken, for it may hang or end the server there.
 */
describe('the driver', () => {
  const open = (more: postgres.Options<Record<string, never>> = {}) =>
    postgres(`${process.env.BROTE_TEST_ADMIN_URL}/postgres`, { max: 1, onnotice: () => {}, ...more });
  const admin = open();
  after(() => admin.end());

  it('sends nothing before somebody waits, so that a part of a statement is never sent alone', async () => {
    const sql = open();
    const asked: string[] = [];
    const watched = open({ debug: (_connection, text) => asked.push(text) });
    const part = watched`1 = 1`;
    const whole = watched`select 2 as two where ${part}`;
    await watched`select 1`;
    expect(asked.filter((text) => /1 = 1/.test(text))).to.deep.equal([]);
    const [row] = await whole;
    expect(row!.two).to.equal(2);
    expect(asked.filter((text) => /1 = 1/.test(text))).to.have.length(1);
    await Promise.all([sql.end(), watched.end()]);
  });

  it('writes one part into several statements', async () => {
    const sql = open();
    const part = () => sql`select ${7}::int as seven`;
    const [[one], [two]] = await Promise.all([
      sql`select * from (${part()}) a`,
      sql`select * from (${part()}) b`
    ]);
    expect([one!.seven, two!.seven]).to.deep.equal([7, 7]);
    await sql.end();
  });

  it('rejects what runs on a connection that is ended, and tells that it closed', async () => {
    let closed = false;
    const sql = open({ max_lifetime: null, onclose: () => (closed = true) });
    const held = await sql.reserve();
    const [{ pid }] = await held<[{ pid: number }]>`select pg_backend_pid() as pid`;
    const running = refusal(held`select pg_sleep(60)`);
    await admin`select pg_terminate_backend(${pid})`;
    expect(await running).to.match(/terminating connection|CONNECTION_CLOSED/);
    await until(() => Promise.resolve(closed), Boolean);
    await sql.end({ timeout: 0 });
  });

  it('keeps the queries of a reserved connection on it', async () => {
    const sql = open({ max: 3 });
    const held = await sql.reserve();
    const pids = await Promise.all(
      Array.from({ length: 6 }, async () => {
        const [row] = await held<[{ pid: number }]>`select pg_backend_pid() as pid`;
        return row.pid;
      })
    );
    expect(new Set(pids).size).to.equal(1);
    held.release();
    await sql.end();
  });
});
