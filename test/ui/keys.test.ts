import { expect } from 'chai';
import { stepped } from '../../src/ui/fields/oneStop.ts';
import { actOf, KEYS } from '../../src/ui/keys/keys.ts';

const pressed = (key: string, more: Partial<Parameters<typeof actOf>[0]> = {}) =>
  actOf({
    key,
    ctrlKey: false,
    metaKey: false,
    altKey: false,
    defaultPrevented: false,
    target: null,
    ...more
  });
const within = (found: boolean) => ({ closest: () => (found ? {} : null) }) as unknown as EventTarget;

describe('single keys', () => {
  it('do one thing each', () => {
    expect(new Set(KEYS.map(([key]) => key)).size).to.equal(KEYS.length);
    for (const [key, act] of KEYS) expect(pressed(key, { target: within(false) })).to.equal(act);
    expect(pressed('q')).to.equal(null);
    expect(pressed('J'), 'with Shift').to.equal(null);
  });

  it('are letters while somebody types, and leave alone what browsers and pages do with them', () => {
    expect(pressed('n', { target: within(true) })).to.equal(null);
    for (const held of ['ctrlKey', 'metaKey', 'altKey', 'defaultPrevented'] as const)
      expect(pressed('r', { [held]: true }), held).to.equal(null);
  });
});

describe('arrow keys among the buttons of a toolbar', () => {
  it('go on and back and round at the ends, Home and End to them, and others nowhere', () => {
    expect(stepped('ArrowRight', 0, 3)).to.equal(1);
    expect(stepped('ArrowDown', 2, 3)).to.equal(0);
    expect(stepped('ArrowLeft', 0, 3)).to.equal(2);
    expect(stepped('Home', 2, 3)).to.equal(0);
    expect(stepped('End', 0, 3)).to.equal(2);
    expect(stepped('Tab', 0, 3)).to.equal(null);
    expect(stepped('ArrowRight', -1, 0)).to.equal(null);
  });
});
