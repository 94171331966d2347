import { expect } from 'chai';
import { freePort } from '../../commands/lib/freePort.ts';
import { routesOfSource, targets } from '../siege/routes.ts';
import { faults, laySiege, SHORT, type Siege } from '../siege/siege.ts';
import type { Camp } from '../siege/camp.ts';
import { Ground } from '../support/started.ts';

describe('a siege', () => {
  let ground: Ground;
  let siege: Siege;
  before(async () => {
    ground = new Ground(await freePort());
    siege = await laySiege(ground, SHORT, () => {});
  });
  after(() => ground.clear());

  it('knows every route and action that the source has', () => {
    const camp = { ids: {}, keys: {}, cookie: '', token: '' } as unknown as Camp;
    const known = new Set(targets(new URL('http://127.0.0.1/'), camp, camp).map(({ name }) => name));
    expect(routesOfSource().filter((name) => !known.has(name))).to.deep.equal([]);
  });

  it('finds no leak, no 500, no hang, nothing missing and nothing doubled', () => {
    expect(faults(siege)).to.deep.equal([]);
  });

  it('asked, wrote and killed as it meant to', () => {
    expect(siege.mutations.asked).to.equal(SHORT.mutations);
    expect(siege.leaks.asked).to.be.above(400);
    for (const kill of Object.values(siege.kills)) expect(kill.acknowledged).to.be.above(10);
    const { statuses } = siege.mutations;
    // What was changed by chance is refused in many ways, and some of it is right.
    for (const status of [200, 303, 400, 404, 415, 422])
      expect(statuses[status] ?? 0, String(status)).to.be.above(0);
    expect(siege.mutations.unanswered).to.be.below(SHORT.mutations / 20);
  });

  it('answers beside slow clients, and tells the truth while its database is dead', () => {
    expect(siege.kills.postmaster!.slowestHealthMs).to.be.above(0);
    expect(siege.slow.othersMs).to.be.below(Infinity);
  });
});
