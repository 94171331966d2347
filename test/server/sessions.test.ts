import { expect } from 'chai';
import postgres from 'postgres';
import { hashPassphrase, isPassphrase } from '../../src/server/sessions/passphrase.ts';
import {
  anyHousehold,
  demoHousehold,
  endSession,
  openSession,
  signIn,
  startSession
} from '../../src/server/sessions/sessions.ts';
import { freshDatabase } from '../support/database.ts';
import { household, PASSPHRASE } from '../support/settings.ts';

describe('signing in', () => {
  let database: Awaited<ReturnType<typeof freshDatabase>>;
  let owner: postgres.Sql;
  let id: string;
  before(async () => {
    database = await freshDatabase();
    owner = postgres(database.ownerUrl, { max: 1 });
    expect(await anyHousehold()).to.equal(false);
    ({ id } = await household('Upstairs'));
  });
  after(async () => {
    await owner.end();
    await database.drop();
  });

  it('knows whether there is a household, and whether a demo', async () => {
    expect(await anyHousehold()).to.equal(true);
    expect(await demoHousehold()).to.equal(null);
  });

  it('keeps passphrases as argon2id, never as they are', async () => {
    const stored = await hashPassphrase(PASSPHRASE);
    expect(stored).to.match(/^\$argon2id\$/);
    expect(stored).not.to.include(PASSPHRASE);
    expect([
      await isPassphrase(stored, PASSPHRASE),
      await isPassphrase(stored, 'wrong'),
      await isPassphrase(null, PASSPHRASE)
    ]).to.deep.equal([true, false, false]);
  });

  it('takes household and passphrase, however the name is written', async () => {
    const result = await signIn(' upSTAIRS ', PASSPHRASE, 'Ilo');
    if (!result.ok) throw new Error(result.say);
    const session = await openSession(result.token);
    expect(session).to.include({ memberName: 'Ilo' });
    expect(session!.household).to.include({ id, name: 'Upstairs', zone: 'Europe/Madrid' });
  });

  it('knows a member again by name', async () => {
    const [first, second] = [await startSession(id, 'Mar'), await startSession(id, ' mar')];
    expect((await openSession(first))!.memberId).to.equal((await openSession(second))!.memberId);
  });

  it('stores a hash of the token, not the token', async () => {
    const token = await startSession(id, 'Ilo');
    const rows = await owner<{ token_hash: Buffer }[]>`select token_hash from sessions`;
    for (const row of rows) expect(row.token_hash.toString('base64url')).not.to.equal(token);
  });

  it('ends a session for good', async () => {
    const token = await startSession(id, 'Ilo');
    await endSession(id, token);
    await endSession(id, token);
    expect(await openSession(token)).to.equal(null);
    expect(await openSession('never-was')).to.equal(null);
  });

  it('does not open a session that has run out', async () => {
    const token = await startSession(id, 'Ilo');
    await owner`update sessions set expires_at = now() - interval '1 second'`;
    expect(await openSession(token)).to.equal(null);
  });

  it('says the same of a wrong name and a wrong passphrase', async () => {
    const [name, passphrase] = [
      await signIn('Nowhere', PASSPHRASE, 'Ilo'),
      await signIn('Upstairs', 'wrong', 'Ilo')
    ];
    expect(name).to.deep.equal(passphrase);
  });

  it('slows tries on one name, more with each, and lets others in meanwhile', async () => {
    await household('Attic');
    for (let tries = 0; tries < 4; tries += 1) await signIn('attic', 'wrong', 'Ilo');
    const slowed = await signIn('Attic', PASSPHRASE, 'Ilo');
    expect(slowed).to.deep.include({ ok: false });
    expect(slowed.ok ? '' : slowed.say).to.match(/Try again in \d+ seconds/);
    expect((await signIn('Upstairs', PASSPHRASE, 'Ilo')).ok).to.equal(true);
    await owner`update sign_in_attempts set at = at - interval '10 minutes'`;
    expect((await signIn('Attic', PASSPHRASE, 'Ilo')).ok).to.equal(true);
    expect((await signIn('Attic', 'wrong', 'Ilo')).ok).to.equal(false);
    expect((await signIn('Attic', PASSPHRASE, 'Ilo')).ok).to.equal(true);
  });
});
