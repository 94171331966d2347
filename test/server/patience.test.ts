import { expect } from 'chai';
import { afterListening } from '../../src/server/db/patience.ts';

/** Keeps this process from listening for so long. */
function standStill(ms: number): void {
  for (const until = performance.now() + ms; performance.now() < until;);
}
const turned = () => new Promise((resolve) => setTimeout(resolve));

describe('patience with a database', () => {
  it('ends after its time, once', async () => {
    let ended = 0;
    await new Promise<void>((resolve) =>
      afterListening(40, () => {
        ended += 1;
        resolve();
      })
    );
    await turned();
    expect(ended).to.equal(1);
  });

  it('does not end by a loop that stood still, for the answer may have come meanwhile', async () => {
    let ended = false;
    const enough = afterListening(80, () => (ended = true));
    standStill(200);
    await turned();
    expect(ended).to.equal(false);
    enough();
  });

  it('ends no more once it is enough', async () => {
    let ended = false;
    const enough = afterListening(10, () => (ended = true));
    enough();
    await new Promise<void>((resolve) => afterListening(40, resolve));
    expect(ended).to.equal(false);
  });
});
