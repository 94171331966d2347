import { expect } from 'chai';
import fc from 'fast-check';
import { isSoaked, judgeSoak } from '../../src/core/crops/crop.ts';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import { jarFor } from '../../src/core/supplies/seed/jar.ts';
import { drainHours, latestBy, soakFrom, soonest } from '../../src/core/sowing/soak.ts';
import { isWaking } from '../../src/core/time/rhythm.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { ownSoakWords, usualSoakWords } from '../../src/words/soak.ts';
import { choiceOf, planned } from '../support/choosing.ts';
import { at, rhythm } from '../support/rhythm.ts';

const soaked = CROPS.filter(isSoaked);
const anyTime = fc
  .integer({ min: at('2026-01-01T00:00Z'), max: at('2027-01-01T00:00Z') })
  .map((ms) => Math.floor(ms / 60_000) * 60_000);

describe('hours of one’s own', () => {
  it('are judged against what the crop bears, and used as they are', () => {
    const pea = cropOf('pea');
    expect(judgeSoak(pea, pea.soakBestH)).to.equal(null);
    expect(judgeSoak(pea, pea.soakMaxH + 1)).to.equal('long');
    expect(judgeSoak(pea, pea.soakMinH - 1)).to.equal('short');
    expect(judgeSoak(cropOf('cilantro'), 0)).to.equal(null);
    expect(judgeSoak(cropOf('radish'), 4)).to.equal(null);
    expect(judgeSoak(cropOf('lettuce'), 4)).to.equal('needless');
    expect(judgeSoak(cropOf('arugula'), 4)).to.equal('gels');
    for (const crop of CROPS)
      for (const hours of [0, 4, 14, 30]) {
        const [{ plan, setup }] = planned(choiceOf([crop], { soakH: hours })) as [
          ReturnType<typeof planned>[number]
        ];
        if (hours > 0 && crop.soakBestH > 0 && !crop.gelSeed)
          expect(plan.soak.soakH, crop.key).to.equal(hours);
        expect(setup.soakH).to.equal(hours);
        const words = ownSoakWords(crop, hours);
        expect(words === '', `${crop.key} ${hours}`).to.equal(judgeSoak(crop, hours) === null);
        expect(`${words} ${usualSoakWords(crop)}`).to.not.match(/NaN|undefined|between (\S+) and \1 h/);
      }
    expect(ownSoakWords(pea, 30)).to.match(/^30 h is too long for pea.*12 h at most/);
    expect(ownSoakWords(pea, 0)).to.match(/^Sown dry/);
  });
});

describe('soaking', () => {
  const home = rhythm();

  /** Up until two at night. */
  const owl = { ...rhythm(), wakeMin: 600, sleepMin: 1560, roundsMin: [630, 1470] };
  const onceADay = { ...rhythm(), roundsMin: [1200] };

  it('begins and ends while somebody is up, within the crop’s bounds, whenever it is asked', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...soaked),
        fc.constantFrom(rhythm(), owl, onceADay),
        anyTime,
        (crop, home, now) => {
          const plan = soonest(crop, home, now);
          expect(plan.endsAsleep).to.equal(false);
          expect(
            isWaking(home, plan.soakStart!) && isWaking(home, plan.soakEnd!) && isWaking(home, plan.sowAt)
          ).to.equal(true);
          expect(plan.soakH).to.be.within(crop.soakMinH, crop.soakMaxH);
          expect(plan.soakStart).to.be.at.least(now);
          expect(plan.sowAt).to.be.at.least(plan.soakEnd! + drainHours(crop) * HOUR);
        }
      )
    );
  });

  it('starts now where that ends well, otherwise at the next round that does', () => {
    const pea = cropOf('pea');
    const evening = at('2026-11-23T20:00Z');
    expect(soonest(pea, home, evening).soakStart).to.equal(evening);
    const noon = soonest(pea, home, at('2026-11-23T13:30Z'));
    expect(noon.soakStart).to.equal(at('2026-11-23T19:30Z'));
    expect(noon.soakEnd).to.equal(at('2026-11-24T06:00Z'));
  });

  it('sows dry seed at once, or in the morning', () => {
    const radish = cropOf('radish');
    expect(soonest(radish, home, at('2026-11-23T12:00Z'))).to.include({
      soakStart: null,
      sowAt: at('2026-11-23T12:00Z')
    });
    expect(soonest(radish, home, at('2026-11-23T23:30Z')).sowAt).to.equal(at('2026-11-24T06:00Z'));
  });

  it('stretches the soak before it moves the day of sowing', () => {
    fc.assert(
      fc.property(fc.constantFrom(...soaked), anyTime, fc.integer({ min: 3, max: 20 }), (crop, now, days) => {
        const latest = now + days * DAY;
        const plan = latestBy(crop, home, now, latest)!;
        expect(plan.sowAt).to.be.at.most(latest);
        expect(latest - plan.sowAt).to.be.at.most(1.2 * DAY);
        expect(plan.soakH).to.be.within(crop.soakMinH, crop.soakMaxH);
      })
    );
    expect(latestBy(cropOf('pea'), home, at('2026-11-23T12:00Z'), at('2026-11-23T14:00Z'))).to.equal(null);
  });

  it('counts elapsed hours through the night in which clocks go back', () => {
    const plan = soakFrom(cropOf('pea'), home, at('2026-10-24T18:30Z'));
    expect((plan.soakEnd! - plan.soakStart!) / HOUR).to.equal(plan.soakH);
    expect(plan.soakH).to.be.within(8, 12);
    expect(home.zone.minutes(plan.soakEnd!)).to.be.at.least(420);
  });

  it('owns up where the household sleeps through every end', () => {
    const short = { ...home, wakeMin: 600, sleepMin: 660, roundsMin: [630] };
    const plan = soonest(cropOf('pea'), short, at('2026-11-23T09:00Z'));
    expect(plan.endsAsleep).to.equal(true);
  });

  it('wants a jar for the swollen seed and five times its dry volume of water', () => {
    const jar = jarFor(cropOf('pea'), 80);
    expect(jar.dryMl).to.equal(100);
    expect(jar.waterMl).to.equal(500);
    expect(jar.jarMl).to.be.closeTo(720, 1e-9);
  });
});
