import { expect } from 'chai';
import { HouseholdClock } from '../../src/ui/state/householdClock.ts';
import { notifying } from '../../src/ui/state/notifying.ts';

const globals = globalThis as Record<string, unknown>;

/** Gives a test the browser's things that it needs, and takes them away. */
function withGlobals(things: Record<string, unknown>, work: () => void): void {
  const before = Object.fromEntries(
    Object.keys(things).map((name) => [name, Object.getOwnPropertyDescriptor(globalThis, name)])
  );
  for (const [name, value] of Object.entries(things))
    Object.defineProperty(globalThis, name, { value, configurable: true, writable: true });
  try {
    work();
  } finally {
    for (const [name, descriptor] of Object.entries(before))
      if (descriptor) Object.defineProperty(globalThis, name, descriptor);
      else delete globals[name];
  }
}

const DAY = 24 * 3_600_000;
const RealNow = Date.parse('2026-11-26T07:30Z');

describe('the household’s clock in a browser', () => {
  /** A browser whose own clock of the day can be wrong, and whose other one nobody sets. */
  function browser(
    start: { wall: number },
    work: (pass: (ms: number) => void) => void,
    keptAt?: number
  ): void {
    let ran = 0;
    const RealDate = Date;
    class WrongDate extends RealDate {
      static override now = () => start.wall + ran;
    }
    withGlobals(
      {
        performance: { now: () => ran },
        Date: WrongDate,
        document: { documentElement: { dataset: keptAt === undefined ? {} : { keptAt: String(keptAt) } } }
      },
      () => work((ms) => (ran += ms))
    );
  }

  it('runs on from what the server said, whatever the phone takes the time for', () => {
    const told = RealNow;
    for (const wrong of [-DAY, 0, DAY])
      browser({ wall: told + wrong }, (pass) => {
        const clock = new HouseholdClock(told);
        expect(clock.startKept()).to.equal(false);
        pass(90_000);
        expect(clock.now()).to.equal(told + 90_000);
        clock.set(told + 95_000);
        pass(1000);
        expect(clock.now()).to.equal(told + 96_000);
      });
  });

  it('counts on from when a page was kept, on a phone that is a day off', () => {
    const told = RealNow;
    for (const wrong of [-DAY, DAY])
      // Kept by the phone's clock; opened again without a network nine hours later.
      browser(
        { wall: told + wrong + 9 * 3_600_000 },
        (pass) => {
          const clock = new HouseholdClock(told);
          expect(clock.startKept()).to.equal(true);
          expect(clock.now()).to.equal(told + 9 * 3_600_000);
          pass(60_000);
          // What was loaded earlier moves it not back.
          clock.heard(told);
          expect(clock.now()).to.equal(told + 9 * 3_600_000 + 60_000);
        },
        told + wrong
      );
  });
});

describe('whether a browser can notify', () => {
  const see = (window: Record<string, unknown>, navigator: Record<string, unknown>, permission: string) => {
    let seen = '';
    withGlobals({ window, navigator, Notification: { permission } }, () => (seen = notifying()));
    return seen;
  };
  it('says of plain http at home that it is that, and not the browser', () => {
    expect(see({ isSecureContext: false }, {}, 'default')).to.equal('insecure');
    expect(see({ isSecureContext: true }, {}, 'default')).to.equal('unsupported');
    const whole = { isSecureContext: true, Notification: {} };
    expect(see(whole, { serviceWorker: {} }, 'denied')).to.equal('denied');
    expect(see(whole, { serviceWorker: {} }, 'default')).to.equal('possible');
    expect(see(whole, { serviceWorker: {} }, 'granted')).to.equal('granted');
  });
});
