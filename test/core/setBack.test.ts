import fc from 'fast-check';
import { expect } from 'chai';
import { CLOCK_SLACK, recordedAt } from '../../src/core/time/setBack.ts';
import { HOUR, MINUTE } from '../../src/core/time/zone.ts';

const NOW = Date.parse('2027-03-28T00:30Z');

describe('the time of a touch', () => {
  it('is the one that was said, where it has been already', () => {
    for (const at of [NOW, NOW - 3 * HOUR, NOW - 20 * 24 * HOUR])
      expect(recordedAt(at, NOW, NOW - 30 * 24 * HOUR)).to.deep.equal({ at, corrected: false });
  });

  it('is now where it was said to be later', () => {
    expect(recordedAt(NOW + 3 * HOUR, NOW, NOW - HOUR)).to.deep.equal({ at: NOW + MINUTE, corrected: true });
    // A minute or two of difference is not worth a word.
    expect(recordedAt(NOW + 2 * MINUTE, NOW, NOW - HOUR)).to.deep.equal({
      at: NOW + MINUTE,
      corrected: false
    });
  });

  it('follows what was recorded before the clock was set back', () => {
    const latest = NOW + 3 * HOUR;
    for (const at of [NOW, latest + HOUR])
      expect(recordedAt(at, NOW, latest)).to.deep.equal({ at: latest, corrected: true });
    // Said to be of yesterday, it is of yesterday.
    expect(recordedAt(NOW - 24 * HOUR, NOW, latest)).to.deep.equal({ at: NOW - 24 * HOUR, corrected: false });
  });

  it('is never later than both now and what is known, and what is touched now comes last', () => {
    const near = fc.integer({ min: -48 * HOUR, max: 48 * HOUR });
    fc.assert(
      fc.property(near, near, (at, latest) => {
        const taken = recordedAt(NOW + at, NOW, NOW + latest);
        expect(taken.at).to.be.at.most(Math.max(NOW + MINUTE, NOW + latest));
        if (at >= 0 && latest > CLOCK_SLACK) expect(taken.at).to.be.at.least(NOW + latest);
      })
    );
  });
});
