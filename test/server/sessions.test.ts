import { expect } from 'chai';
import postgres from 'postgres';
import { inHousehold, outside } from '../../src/server/db/connection.ts';
import { agentWords } from '../../src/server/sessions/agent.ts';
import { hashPassphrase, isPassphrase } from '../../src/server/sessions/passphrase.ts';
import {
  anyHousehold,
  demoHousehold,
  endOtherSessions,
  endSession,
  endSessionById,
  listSessions,
  openSession,
  startSession
} from '../../src/server/sessions/sessions.ts';
import {
  forgetOtherBrowsers,
  signIn,
  waitForNewHousehold,
  type Caller
} from '../../src/server/sessions/signIn.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { refusal } from '../support/refusal.ts';
import { household, PASSPHRASE } from '../support/settings.ts';

let addresses = 0;
/** Somebody at an address of their own. */
const caller = (more: Partial<Caller> = {}): Caller => ({
  address: `192.0.2.${(addresses += 1)}`,
  agent: 'Firefox on Linux',
  language: 'en',
  known: null,
  ...more
});

describe('signing in', () => {
  let database: TestDatabase;
  let owner: postgres.Sql;
  let id: string;
  before(async () => {
    database = await freshDatabase();
    owner = postgres(database.ownerUrl, { max: 1, connection: { 'brote.door': 'open' } });
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
    const result = await signIn(' upSTAIRS ', PASSPHRASE, 'Ilo', caller());
    if (!result.ok) throw new Error(result.say);
    const session = await openSession(result.token);
    expect(session).to.include({ memberName: 'Ilo', renewed: false });
    expect(session!.household).to.include({ id, name: 'Upstairs', zone: 'Europe/Madrid' });
  });

  it('knows a member again by name', async () => {
    const [first, second] = [await startSession(id, 'Mar'), await startSession(id, ' mar')];
    expect((await openSession(first))!.memberId).to.equal((await openSession(second))!.memberId);
  });

  it('stores a hash of the token, not the token', async () => {
    const token = await startSession(id, 'Ilo');
    const rows = await owner<{ token_hash: Buffer }[]>`select token_hash from sessions`;
    expect(rows).not.to.have.length(0);
    for (const row of rows) expect(row.token_hash.toString('base64url')).not.to.equal(token);
  });

  it('ends a session for good', async () => {
    const token = await startSession(id, 'Ilo');
    await endSession(token);
    await endSession(token);
    expect(await openSession(token)).to.equal(null);
    expect(await openSession('never-was')).to.equal(null);
  });

  it('puts a session off while it is used, and ends it after disuse', async () => {
    const token = await startSession(id, 'Ilo');
    const left = async () => {
      const [row] = await owner<{ days: number }[]>`
        select round(extract(epoch from expires_at - now()) / 86400)::int as days from sessions order by created_at desc limit 1`;
      return row!.days;
    };
    await owner`update sessions set used_at = now() - interval '5 days', expires_at = now() + interval '2 days'`;
    expect((await openSession(token))!.renewed).to.equal(true);
    expect(await left()).to.equal(60);
    expect((await openSession(token))!.renewed).to.equal(false);
    await owner`update sessions set expires_at = now() - interval '1 second', used_at = now() - interval '61 days'`;
    expect(await openSession(token)).to.equal(null);
  });

  it('lists the devices of a household and signs out one, or all but one', async () => {
    const { id: home } = await household('Loft');
    const tokens = [
      await startSession(home, 'Ilo', 'Chrome on Android'),
      await startSession(home, 'Mar', 'Firefox on Linux'),
      await startSession(home, 'Ilo', 'Safari on iPad')
    ];
    const sessions = await Promise.all(tokens.map(openSession));
    const listed = await inHousehold(home, listSessions);
    expect(listed.map(({ agent }) => agent)).to.have.members([
      'Chrome on Android',
      'Firefox on Linux',
      'Safari on iPad'
    ]);
    // Another household's hand reaches none of them.
    await inHousehold(id, (tx) => endSessionById(tx, sessions[1]!.id));
    expect(await openSession(tokens[1]!)).not.to.equal(null);
    await inHousehold(home, (tx) => endSessionById(tx, sessions[1]!.id));
    expect(await openSession(tokens[1]!)).to.equal(null);
    await inHousehold(home, (tx) => endOtherSessions(tx, sessions[0]!.id));
    expect(await Promise.all(tokens.map(async (token) => (await openSession(token)) !== null))).to.deep.equal(
      [true, false, false]
    );
  });

  it('says the same of a wrong name and a wrong passphrase', async () => {
    const [name, passphrase] = [
      await signIn('Nowhere', PASSPHRASE, 'Ilo', caller()),
      await signIn('Upstairs', 'wrong', 'Ilo', caller())
    ];
    expect(name).to.deep.equal(passphrase);
  });

  it('slows tries on one name from one address, more with each, and lets others in meanwhile', async () => {
    await household('Attic');
    const stranger = caller();
    for (let tries = 0; tries < 4; tries += 1) await signIn('attic', 'wrong', 'Ilo', stranger);
    const slowed = await signIn('Attic', PASSPHRASE, 'Ilo', stranger);
    expect(slowed).to.deep.include({ ok: false, kind: 'wait' });
    expect(slowed.ok ? '' : slowed.say).to.match(/Try again in \d+ seconds/);
    expect((await signIn('Attic', PASSPHRASE, 'Ilo', caller())).ok).to.equal(true);
    await owner`update attempts set at = at - interval '16 minutes'`;
    expect((await signIn('Attic', PASSPHRASE, 'Ilo', stranger)).ok).to.equal(true);
    expect((await signIn('Attic', 'wrong', 'Ilo', stranger)).ok).to.equal(false);
    expect((await signIn('Attic', PASSPHRASE, 'Ilo', stranger)).ok).to.equal(true);
  });

  it('checks a handful of four hundred guesses at once, for each was counted before it was checked', async () => {
    await household('Cellar');
    const stranger = caller();
    const guesses = await Promise.all(
      Array.from({ length: 400 }, (_, n) => signIn('Cellar', `guess ${n}`, 'Ilo', stranger))
    );
    expect(guesses.every(({ ok }) => !ok)).to.equal(true);
    const checked = guesses.filter((guess) => !guess.ok && guess.kind === 'wrong').length;
    expect(checked).to.be.within(1, 6);
  });

  it('checks a few dozen guesses from a thousand addresses, and lets in a browser it knows all the while', async () => {
    await household('Garden');
    const owned = await signIn('Garden', PASSPHRASE, 'Ilo', caller());
    if (!owned.ok) throw new Error(owned.say);
    let checked = 0;
    for (let n = 0; n < 60; n += 1) {
      const guess = await signIn('Garden', `guess ${n}`, 'Ilo', caller());
      if (!guess.ok && guess.kind === 'wrong') checked += 1;
    }
    expect(checked).to.be.within(20, 30);
    expect(await signIn('Garden', PASSPHRASE, 'Ilo', caller())).to.deep.include({ ok: false, kind: 'wait' });
    expect((await signIn('Garden', PASSPHRASE, 'Ilo', caller({ known: owned.known }))).ok).to.equal(true);
    // What is known is known to one household, and no key to another.
    await household('Yard');
    const stranger = caller({ known: owned.known });
    for (let tries = 0; tries < 4; tries += 1) await signIn('Yard', 'wrong', 'Ilo', stranger);
    expect(await signIn('Yard', PASSPHRASE, 'Ilo', stranger)).to.deep.include({ ok: false, kind: 'wait' });
  });

  it('slows a browser it knows as well, and forgets the others with a changed passphrase', async () => {
    const { id: home } = await household('Porch');
    const [mine, theirs] = [
      await signIn('Porch', PASSPHRASE, 'Ilo', caller()),
      await signIn('Porch', PASSPHRASE, 'Mar', caller())
    ];
    if (!mine.ok || !theirs.ok) throw new Error('not let in');
    for (let tries = 0; tries < 8; tries += 1)
      await signIn('Porch', 'wrong', 'Mar', caller({ known: theirs.known }));
    expect(await signIn('Porch', PASSPHRASE, 'Mar', caller({ known: theirs.known }))).to.deep.include({
      kind: 'wait'
    });
    await inHousehold(home, (tx) => forgetOtherBrowsers(tx, mine.known));
    expect(await owner`select 1 from known_browsers where household_id = ${home}`).to.have.length(1);
  });

  it('slows whoever begins one household after another', async () => {
    const waits: number[] = [];
    for (let n = 0; n < 22; n += 1) waits.push(await waitForNewHousehold('198.51.100.7'));
    expect(waits.slice(0, 20).every((wait) => wait === 0)).to.equal(true);
    expect(waits[21]).to.be.above(0);
    expect(await waitForNewHousehold('198.51.100.8')).to.equal(0);
  });

  it('counts an IPv6 network as one, whichever of its addresses is used', async () => {
    await household('Shed');
    for (let n = 0; n < 4; n += 1)
      await signIn('Shed', 'wrong', 'Ilo', caller({ address: `2001:db8:1:2:${n}::7` }));
    expect(
      await signIn('Shed', PASSPHRASE, 'Ilo', caller({ address: '2001:db8:1:2:ffff::1' }))
    ).to.deep.include({ kind: 'wait' });
  });

  it('lets the application neither read a hash nor make a demo', async () => {
    const denied = (work: (tx: Parameters<Parameters<typeof inHousehold>[1]>[0]) => Promise<unknown>) =>
      refusal(inHousehold(id, work));
    expect(await denied((tx) => tx`select passphrase_hash from households`)).to.include('permission denied');
    expect(await denied((tx) => tx`select * from households`)).to.include('permission denied');
    expect(await denied((tx) => tx`update households set demo = true`)).to.include('permission denied');
    expect(await denied((tx) => tx`update households set passphrase_hash = 'x'`)).to.include(
      'permission denied'
    );
    expect(await denied((tx) => tx`select token_hash from sessions`)).to.include('permission denied');
    expect(await refusal(outside((sql) => sql`select * from attempts`))).to.include('permission denied');
  });

  it('shows the owner of the tables nothing either, but where the door is opened', async () => {
    const plain = postgres(database.ownerUrl, { max: 1 });
    expect(await plain`select 1 from households`).to.have.length(0);
    expect(await plain`select 1 from sessions`).to.have.length(0);
    await plain.end();
    expect(await owner`select 1 from households`).not.to.have.length(0);
  });

  it('tells devices by a few words', () => {
    expect(
      agentWords(
        'Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/130.0 Safari/537.36'
      )
    ).to.equal('Chrome on Android');
    expect(agentWords('Mozilla/5.0 (X11; Linux x86_64; rv:132.0) Gecko/20100101 Firefox/132.0')).to.equal(
      'Firefox on Linux'
    );
    expect(agentWords('curl/8.0')).to.equal('Another program');
    expect(agentWords(null)).to.equal('Another program');
  });
});
