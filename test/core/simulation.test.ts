import { expect } from 'chai';
import { study, type Findings } from '../simulation/study.ts';

// Fewer households than the bench has, so with room for chance: it is the bench that reports the figures.
describe('sixty households that nobody knows', () => {
  let found: Findings;
  before(() => {
    found = study(60, 7);
  });

  it('are forecast better after three trays than at first, and far better than by a packet’s days', () => {
    expect(found.afterThreeD).to.be.below(found.firstTrayD);
    expect(found.afterThreeD).to.be.below(0.75);
    expect(found.afterThreeD).to.be.below(found.fixedTableD * 0.7);
  });

  it('see their windows open within the range that was said, eight times of ten', () => {
    for (const [when, share] of Object.entries(found.coverage)) expect(share, when).to.be.within(0.7, 0.9);
  });

  it('neither dry out nor drown their trays by following Brote', () => {
    expect(found.dried).to.be.below(0.04);
    expect(found.drowned).to.be.below(0.04);
    expect(found.givenL).to.be.below(found.lostL);
  });
});
