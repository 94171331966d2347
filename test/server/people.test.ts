import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { readLog } from '../../src/core/sowing/record.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { handRound } from '../../src/server/app/handRound.ts';
import { removeMember } from '../../src/server/app/removeMember.ts';
import { sitterDay, sitterTick } from '../../src/server/app/sitterDay.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { loadHousehold } from '../../src/server/households/loadHousehold.ts';
import { findAccount, memberNamed } from '../../src/server/households/household.ts';
import { addAway, listAway, removeAway } from '../../src/server/people/away.ts';
import { addInvite, openInvite, useInvite } from '../../src/server/people/invites.ts';
import { addMember, leaveHousehold, listMembers, setPassphrase } from '../../src/server/people/members.ts';
import { addSitter, openSitter, revokeSitter } from '../../src/server/people/sitters.ts';
import { listReminders, unseenReminders } from '../../src/server/reminders/reminders.ts';
import { hashPassphrase } from '../../src/server/sessions/passphrase.ts';
import { endSharedSessions, openSession, startSession } from '../../src/server/sessions/sessions.ts';
import { signIn } from '../../src/server/sessions/signIn.ts';
import { findSowing } from '../../src/server/sowings/sowings.ts';
import { FORM, formBody } from '../siege/camp.ts';
import { startApp, type App } from '../support/app.ts';
import { Reminded, sendAll, thirsty } from '../support/reminded.ts';
import { PASSPHRASE } from '../support/settings.ts';

const MORNING = Date.parse('2026-11-05T06:30Z');
let addresses = 0;
const caller = () => ({
  address: `192.0.2.${(addresses += 1)}`,
  agent: 'Firefox on Linux',
  language: 'en',
  known: null
});

describe('the people of a household', () => {
  let app: App;
  before(async () => (app = await startApp()));
  after(() => app.close());
  let homes = 0;
  const begin = (at = MORNING) => Reminded.begin(app.database.ownerUrl, `People ${(homes += 1)}`, at);
  const post = (path: string, fields: Record<string, string>) =>
    app.send({
      method: 'POST',
      path,
      headers: { ...FORM, origin: app.base.origin, accept: 'text/html' },
      body: formBody(fields)
    });
  const nameOf = async (home: Reminded) => (await inHousehold(home.id, findAccount)).name;

  it('join by an address that works once, each with a passphrase of their own', async () => {
    const home = await begin();
    const token = (await inHousehold(home.id, (tx) => addInvite(tx, home.id, home.memberId, randomUUID())))!;
    const page = await app.send({ path: `/join/${token}` });
    expect(page.text).to.contain(`Join ${await nameOf(home)}`);
    // A name that somebody has keeps the invitation.
    const taken = await post(`/join/${token}`, { memberName: ' nela ', passphrase: 'leaf by leaf' });
    expect(taken.text).to.contain('already has this name');
    const joined = await post(`/join/${token}`, { memberName: 'Tobi', passphrase: 'leaf by leaf' });
    expect(joined.status).to.equal(303);
    expect((await app.send({ path: `/join/${token}` })).status).to.equal(404);
    expect((await inHousehold(home.id, listMembers)).map(({ name }) => name)).to.deep.equal(['Nela', 'Tobi']);
    // Nobody else of the household signs in as him, with the passphrase that all of them know.
    expect(await signIn(await nameOf(home), PASSPHRASE, 'Tobi', caller())).to.include({ ok: false });
    expect(await signIn(await nameOf(home), 'leaf by leaf', 'Nela', caller())).to.include({ ok: false });
    const his = await signIn(await nameOf(home), 'leaf by leaf', 'Tobi', caller());
    expect(his.ok).to.equal(true);
    expect((await signIn(await nameOf(home), PASSPHRASE, 'Nela', caller())).ok).to.equal(true);
  });

  it('take an invitation once, however many try at a time', async () => {
    const home = await begin();
    const id = randomUUID();
    const token = (await inHousehold(home.id, (tx) => addInvite(tx, home.id, home.memberId, id)))!;
    const used = await Promise.all([1, 2, 3, 4].map(() => inHousehold(home.id, (tx) => useInvite(tx, id))));
    expect(used.filter(Boolean)).to.have.length(1);
    expect(await openInvite(token)).to.equal(null);
  });

  it('leave, signed out and reminded no more, but for the last one; their name is then free', async () => {
    const home = await begin();
    await home.sow();
    await home.channel('mail', { to: 'nela@balcony.example' });
    expect(await inHousehold(home.id, (tx) => leaveHousehold(tx, home.memberId))).to.equal(false);
    const passphraseHash = await hashPassphrase('leaf by leaf');
    const tobi = randomUUID();
    await inHousehold(home.id, (tx) => addMember(tx, home.id, { id: tobi, name: 'Tobi', passphraseHash }));
    const hers = await signIn(await nameOf(home), PASSPHRASE, 'Nela', caller());
    if (!hers.ok) throw new Error(hers.say);
    // Two who leave at once: one of them stays.
    const left = await Promise.all(
      [home.memberId, tobi].map((one) => inHousehold(home.id, (tx) => leaveHousehold(tx, one)))
    );
    expect(left.filter(Boolean)).to.have.length(1);
    const [stays] = await inHousehold(home.id, listMembers);
    if (stays!.id === tobi) {
      expect(await openSession(hers.token)).to.equal(null);
      expect(await inHousehold(home.id, (tx) => tx`select id from channels`)).to.have.length(0);
      expect((await inHousehold(home.id, loadHousehold)).members[home.memberId]).to.equal('Nela');
      const other = await inHousehold(home.id, (tx) => memberNamed(tx, home.id, randomUUID(), 'Nela'));
      expect(other).not.to.equal(home.memberId);
    }
  });

  it('take a round and hand it on: whoever has it is told, and nobody else', async () => {
    const home = await begin(MORNING - 60_000);
    await home.sow();
    await home.judge();
    const tobi = await inHousehold(home.id, (tx) => memberNamed(tx, home.id, randomUUID(), 'Tobi'));
    const hers = await home.channel('mail', { to: 'nela@balcony.example' });
    const his = randomUUID();
    await inHousehold(
      home.id,
      (tx) => tx`insert into channels (household_id, id, member_id, kind, name, address, kinds, confirmed_at)
      values (${home.id}, ${his}, ${tobi}, 'mail', 'tobi', '{"to": "tobi@balcony.example"}', '{round}', now())`
    );
    const session = async () =>
      ({ household: await inHousehold(home.id, findAccount), memberId: home.memberId }) as never;
    expect(await inHousehold(home.id, async (tx) => handRound(tx, await session(), randomUUID()))).to.equal(
      false
    );
    const nela = await session();
    expect(await inHousehold(home.id, (tx) => handRound(tx, nela, home.memberId))).to.equal(true);
    await home.clock(MORNING + 2000);
    await home.judge();
    const going = () =>
      inHousehold(
        home.id,
        (tx) => tx<{ channel_id: string }[]>`select channel_id from deliveries order by created_at`
      );
    expect((await going()).map(({ channel_id }) => channel_id)).to.deep.equal([hers]);
    // She cannot after all.
    const later = await session();
    await inHousehold(home.id, (tx) => handRound(tx, later, tobi));
    expect((await going()).map(({ channel_id }) => channel_id)).to.deep.equal([hers, his]);
    const told = (member: string) => inHousehold(home.id, (tx) => listReminders(tx, member, 10));
    expect(await told(tobi)).to.have.length(2);
    expect(await told(home.memberId)).to.have.length(1);
    expect(await inHousehold(home.id, (tx) => unseenReminders(tx, tobi))).to.equal(2);
    await inHousehold(home.id, (tx) => tx`delete from channels`);
    expect(await sendAll()).to.deep.equal([]);
  });

  it('are removed by another: with their devices, their invitations and the name they signed in by', async () => {
    const home = await begin();
    const name = await nameOf(home);
    const tobi = await inHousehold(home.id, (tx) => memberNamed(tx, home.id, randomUUID(), 'Tobi'));
    const signsIn = async (memberName: string) => (await signIn(name, PASSPHRASE, memberName, caller())).ok;
    expect(await signsIn('Tobi')).to.equal(true);
    const sitter = { id: randomUUID(), name: 'Milla', fromAt: MORNING - DAY, untilAt: MORNING + 4 * DAY };
    const [invite, address] = await inHousehold(home.id, async (tx) => [
      await addInvite(tx, home.id, tobi, randomUUID()),
      await addSitter(tx, home.id, sitter, tobi)
    ]);
    await home.sow();
    await home.judge();
    await home.channel('mail', { to: 'nela@balcony.example' });
    const by = async () =>
      ({
        household: await inHousehold(home.id, findAccount),
        memberId: home.memberId,
        memberName: 'Nela'
      }) as never;
    const nela = await by();
    const remove = (who: string) => inHousehold(home.id, (tx) => removeMember(tx, nela, who));
    expect(await remove(home.memberId), 'herself').to.equal(false);
    expect(await remove(tobi)).to.equal(true);
    expect(await remove(tobi), 'again').to.equal(false);
    expect((await inHousehold(home.id, listMembers)).map(({ name: who }) => who)).to.deep.equal(['Nela']);
    expect(await openInvite(invite!)).to.equal(null);
    expect(await openSitter(address!)).to.equal(null);
    for (const written of ['Tobi', 'tobi', 'To\u200bbi', ' TOBI '])
      expect(await signsIn(written), JSON.stringify(written)).to.equal(false);
    expect(await signsIn('Nela')).to.equal(true);
    // Those who stay are told, in the app and where they are reached.
    const told = await inHousehold(home.id, (tx) => listReminders(tx, home.memberId, 10));
    const body = told.find((one) => one.body.type === 'member-removed')!.body;
    expect(body).to.deep.equal({ type: 'member-removed', name: 'Tobi', by: 'Nela' });
    await inHousehold(home.id, (tx) => tx`delete from channels`);
    await sendAll();
  });

  it('sign in again by the household’s passphrase once it was changed, but for those with one of their own', async () => {
    const home = await begin();
    const [shared, own, mine] = await Promise.all(
      ['Ivo', 'Sana', 'Nela'].map((who) => startSession(home.id, who))
    );
    await inHousehold(home.id, async (tx) => {
      const sana = (await listMembers(tx)).find(({ name }) => name === 'Sana')!;
      await setPassphrase(tx, sana.id, 'hash of her own');
    });
    const here = (await openSession(mine!))!;
    await inHousehold(home.id, (tx) => endSharedSessions(tx, here.id));
    expect(await openSession(shared!)).to.equal(null);
    expect((await openSession(own!))!.memberName).to.equal('Sana');
    expect((await openSession(mine!))!.memberName).to.equal('Nela');
  });

  it('let a sitter tick nothing before their days begin', async () => {
    const home = await begin(MORNING + 2 * HOUR);
    const tray = await home.sow({}, thirsty());
    const [now, later] = [randomUUID(), randomUUID()];
    await inHousehold(home.id, async (tx) => {
      const until = MORNING + 4 * DAY;
      await addSitter(tx, home.id, { id: now, name: 'A', fromAt: MORNING, untilAt: until }, home.memberId);
      await addSitter(
        tx,
        home.id,
        { id: later, name: 'B', fromAt: MORNING + DAY, untilAt: until },
        home.memberId
      );
    });
    const [stop] = (await inHousehold(home.id, (tx) => sitterDay(tx, now))).stops;
    const tick = { stopKey: stop!.key, stepKey: stop!.steps[0]!.key, nonce: randomUUID() };
    expect(await inHousehold(home.id, (tx) => sitterTick(tx, later, tick))).to.equal(false);
    const events = async () => readLog((await inHousehold(home.id, (tx) => findSowing(tx, tray)))!).length;
    const before = await events();
    expect(await inHousehold(home.id, (tx) => sitterTick(tx, now, tick))).to.equal(true);
    expect(await events()).to.equal(before + 1);
  });

  it('mark days away, of which those that overlap are one', async () => {
    const home = await begin();
    const mark = (fromDay: string, untilDay: string) =>
      inHousehold(home.id, (tx) => addAway(tx, home.id, { fromDay, untilDay }, '2026-11-05'));
    await mark('2026-11-10', '2026-11-12');
    await mark('2026-11-20', '2026-11-22');
    await mark('2026-11-12', '2026-11-15');
    await mark('2026-11-10', '2026-11-12');
    const all = () => inHousehold(home.id, (tx) => listAway(tx, '2026-11-05'));
    expect(await all()).to.deep.equal([
      { fromDay: '2026-11-10', untilDay: '2026-11-15' },
      { fromDay: '2026-11-20', untilDay: '2026-11-22' }
    ]);
    await inHousehold(home.id, (tx) => removeAway(tx, '2026-11-10'));
    expect(await all()).to.have.length(1);
  });

  it('let a sitter in by an address: to what is to be done and its ticks, and to nothing else', async () => {
    const home = await begin(MORNING + 2 * HOUR);
    const tray = await home.sow({}, thirsty());
    const id = randomUUID();
    const sitter = { id, name: 'Aunt Milla', fromAt: MORNING - DAY, untilAt: MORNING + 4 * DAY };
    const token = (await inHousehold(home.id, (tx) => addSitter(tx, home.id, sitter, home.memberId)))!;
    const path = `/sitter/${token}`;
    const page = await app.send({ path });
    expect(page.status).to.equal(200);
    expect(page.text).to.contain('Radish').and.to.contain('Water');
    for (const secret of [await nameOf(home), 'Nela', home.id, PASSPHRASE, '/household'])
      expect(page.text, secret).not.to.contain(secret);
    const field = (name: string) => new RegExp(`name="${name}" value="([^"]+)"`).exec(page.text)![1]!;
    const tick = { stop: field('stop'), step: field('step'), nonce: field('nonce') };
    // A double tap, and a second send of the same page.
    await Promise.all([post(`${path}?/tick`, tick), post(`${path}?/tick`, tick)]);
    await post(`${path}?/tick`, tick);
    const log = async () => readLog((await inHousehold(home.id, (tx) => findSowing(tx, tray)))!);
    const watered = (await log()).filter(({ body }) => body.type === 'watered');
    expect(watered).to.have.length(1);
    expect(watered[0]!.by).to.equal(id);
    expect((await inHousehold(home.id, loadHousehold)).members[id]).to.equal('Aunt Milla');
    // Taken back, and only what she did herself.
    const own = (await log()).find(({ body }) => body.type === 'sown')!;
    const nonce = randomUUID();
    await post(`${path}?/undo`, { events: [watered[0]!.id, own.id].join(','), nonce });
    const undone = (await log()).flatMap(({ body }) => (body.type === 'undone' ? [body.eventId] : []));
    expect(undone).to.deep.equal([watered[0]!.id]);
    const day = await inHousehold(home.id, (tx) => sitterDay(tx, id));
    expect(day.stops[0]!.steps.length).to.be.greaterThan(0);
    expect(day.ahead.length).to.be.within(4, 9);
    // A session of the household does not come of it.
    expect((await app.send({ path: '/round', headers: { accept: 'text/html' } })).status).to.equal(303);
    await inHousehold(home.id, (tx) => revokeSitter(tx, id));
    expect((await app.send({ path })).status).to.equal(404);
  });

  it('let no sitter in after their days, and nobody who guesses', async () => {
    const home = await begin();
    const id = randomUUID();
    const token = (await inHousehold(home.id, (tx) =>
      addSitter(tx, home.id, { id, name: 'Milla', fromAt: MORNING, untilAt: MORNING + DAY }, home.memberId)
    ))!;
    expect(await openSitter(token)).to.deep.equal({ householdId: home.id, sitterId: id });
    await home.clock(MORNING + DAY + 1000);
    expect(await openSitter(token)).to.equal(null);
    const answers = new Set<number>();
    for (let tries = 0; tries < 25; tries += 1)
      answers.add((await app.send({ path: `/sitter/guess${tries}` })).status);
    expect([...answers].sort()).to.deep.equal([404, 429]);
  });

  it('end mail by the link in it, with one touch or by their mail program', async () => {
    const home = await begin();
    const channel = await home.channel('mail', { to: 'nela@balcony.example' });
    const { channelToken } = await import('../../src/server/reminders/channelToken.ts');
    const path = `/unsubscribe/${channelToken('unsubscribe', home.id, channel)}`;
    expect((await app.send({ path })).text).to.contain('Unsubscribe');
    // Looking at it ends nothing.
    expect((await home.state(channel)).broken).to.equal(false);
    const byProgram = await app.send({
      method: 'POST',
      path,
      headers: { ...FORM, origin: 'https://mail.example' },
      body: 'List-Unsubscribe=One-Click'
    });
    expect(byProgram.status).to.equal(200);
    expect(await inHousehold(home.id, (tx) => tx`select id from channels`)).to.have.length(0);
    expect((await app.send({ path: '/unsubscribe/nonsense' })).status).to.equal(404);
  });
});
