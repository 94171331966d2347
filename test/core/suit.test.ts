import { expect } from 'chai';
import fc from 'fast-check';
import { cropOf, CROPS } from '../../src/core/crops/library.ts';
import { bestPlace, hindranceOf, suitOf, tableDays, type Growing } from '../../src/core/growth/suit.ts';
import { tooWarm } from '../../src/core/places/air/warmth.ts';
import type { Place } from '../../src/core/places/place.ts';
import { zoneOf } from '../../src/core/time/zone.ts';
import { suitWords } from '../../src/words/warmth.ts';
import { calendarOf } from '../../src/core/reminders/calendar.ts';
import { project } from '../../src/core/sowing/project.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import { finished } from '../../src/core/time/inSteps.ts';
import { DAY } from '../../src/core/time/zone.ts';
import { calendarWords } from '../../src/words/calendar.ts';
import { stepAmount } from '../../src/words/steps/steps.ts';
import { windowOf, windowWords } from '../../src/words/window.ts';
import { choiceOf, MONDAY, planned } from '../support/choosing.ts';
import { event, home, radishTray, shelf, sown, SOWN } from '../support/household.ts';
import { steadyPlace } from '../support/rhythm.ts';

const MADRID = zoneOf('Europe/Madrid');
const growing = (key: string, of: Partial<Growing> = {}): Growing => ({
  crop: cropOf(key),
  needsLight: true,
  latitudeDeg: 43.4,
  zone: MADRID,
  startAt: Date.UTC(2026, 11, 1),
  ...of
});
const at = (dayC: number, nightC = dayC, of: Partial<Place> = {}): Place => ({
  ...steadyPlace(dayC, nightC),
  id: `${dayC}/${nightC}`,
  name: `At ${dayC}`,
  ...of
});
const stays = (place: Place) => ({ place, carriedTo: null });
const DARK: Partial<Place> = { light: { kind: 'dark' } };
const DIM: Partial<Place> = { light: { kind: 'sill', aspect: 'away', back: true } };

describe('where a crop stands', () => {
  it('takes its table’s days at 21 °C in good light', () => {
    for (const crop of CROPS)
      expect(tableDays(growing(crop.key), stays(at(21))), crop.key).to.be.closeTo(crop.windowOpenD21, 1e-9);
  });

  it('promises nothing where it would take over 2.5 times its usual days, or is over what it bears', () => {
    expect(hindranceOf(growing('cilantro'), stays(at(33, 20)))).to.equal('hot');
    expect(hindranceOf(growing('cilantro'), stays(at(33)))).to.equal('hot');
    expect(hindranceOf(growing('cilantro'), stays(at(31)))).to.equal('hot');
    expect(hindranceOf(growing('cilantro'), stays(at(28)))).to.equal(null);
    expect(hindranceOf(growing('basil'), stays(at(15)))).to.equal('cold');
    expect(hindranceOf(growing('radish'), stays(at(11)))).to.equal('cold');
    expect(hindranceOf(growing('radish'), stays(at(16)))).to.equal(null);
    expect(hindranceOf(growing('radish'), stays(at(14, 14, DIM)))).to.equal('dim');
    expect(
      hindranceOf(
        growing('radish'),
        stays(at(21, 21, { light: { kind: 'sill', aspect: 'side', back: false } }))
      )
    ).to.equal(null);
  });

  it('is judged at both places of a tray that is carried to light', () => {
    const dark = at(21, 21, DARK);
    expect(hindranceOf(growing('radish'), { place: dark, carriedTo: at(21) })).to.equal(null);
    expect(hindranceOf(growing('radish'), { place: dark, carriedTo: at(4) })).to.equal('cold');
    expect(hindranceOf(growing('radish'), { place: at(4, 4, DARK), carriedTo: at(21) })).to.equal('cold');
  });

  it('names the place with the soonest opening within its bounds, not the first or the coolest', () => {
    const [cellar, sill, shelf, oven] = [at(8), at(17), at(23), at(32)];
    const among = [cellar, sill, shelf, oven, at(25, 25, DARK)];
    expect(bestPlace(growing('cilantro'), among)?.place.name).to.equal('At 23');
    expect(bestPlace(growing('cilantro'), [cellar, oven])).to.equal(null);
    expect(bestPlace(growing('maize-shoot', { needsLight: false }), among)?.place.name).to.equal('At 32');
    const suit = suitOf(growing('cilantro'), stays(at(33, 20)), among);
    expect(suit.better?.place.name).to.equal('At 23');
    expect(suitWords(cropOf('cilantro'), suit, 'metric')).to.match(
      /^Too hot for coriander .* no harvest date.*At 23 suits it best: about 14 days/
    );
    const alone = suitOf(growing('cilantro'), stays(at(33, 20)), [cellar, oven]);
    expect(suitWords(cropOf('cilantro'), alone, 'metric')).to.include('None of your other places');
    expect(suitOf(growing('cilantro'), stays(at(20)), among).better).to.equal(null);
  });

  it('never names a place that is too warm, hinders it or has no light for it', () => {
    const place = fc
      .record({
        dayC: fc.double({ min: 2, max: 40, noNaN: true }),
        cooler: fc.double({ min: 0, max: 12, noNaN: true }),
        light: fc.constantFrom<Partial<Place>>({}, DARK, DIM)
      })
      .map(({ dayC, cooler, light }) => at(dayC, dayC - cooler, light));
    fc.assert(
      fc.property(
        fc.constantFrom(...CROPS.map(({ key }) => key)),
        place,
        fc.array(place, { maxLength: 6 }),
        (key, here, among) => {
          const of = growing(key);
          const { better } = suitOf(of, stays(here), among);
          if (!better) return;
          expect(better.place.light.kind).to.not.equal('dark');
          expect(tooWarm(of.crop, better.place)).to.equal(null);
          expect(hindranceOf(of, stays(better.place))).to.equal(null);
          expect(better.days).to.be.at.most(2.5 * of.crop.windowOpenD21);
        }
      )
    );
  });

  it('promises a tray that is carried somewhere cool as it opens, and none that begins there', () => {
    const cold = { ...shelf, id: '00000000-0000-4000-8000-0000000000c1', name: 'Porch', dayC: 9, nightC: 9 };
    const household = { ...home, places: new Map([...home.places, [cold.id, cold]]) };
    const lit = [sown(), event(48, { type: 'uncovered' }), event(60, { type: 'lit' })];
    const moved = (hours: number) =>
      project(household, radishTray(), [...lit, event(hours, { type: 'moved', placeId: cold.id })]);
    expect(moved(150).suit.hindered).to.equal(null);
    expect(moved(61).suit.hindered).to.equal('cold');
    expect(windowWords(windowOf(moved(61)), SOWN + 4 * DAY, LOCALE)).to.match(
      /^Too cold here: .*no harvest date/
    );
    expect(moved(61).suit.better?.place.id).to.equal(shelf.id);
  });
});

const LOCALE = { zone: 'Europe/Madrid', units: 'metric' } as const;

describe('a sowing that is only planned', () => {
  const on = { now: MONDAY, locale: LOCALE, containers: 1, medium: { kind: 'coir', own: null } } as const;

  it('says what its cut gives, of every crop, and never that it is past its window', () => {
    for (const crop of CROPS) {
      const [{ projected }] = planned(choiceOf([crop])) as [ReturnType<typeof planned>[number]];
      const cut = stepsOf(projected).find(({ body }) => body.kind === 'cut')!;
      expect(stepAmount(cut.body, on).amount, crop.key).to.match(/^about [1-9]/);
      const story = { setup: { ...projected.setup, placeId: shelf.id }, events: [] };
      for (const entry of finished(calendarOf(home, [story], MONDAY)))
        expect(calendarWords(entry, LOCALE, []).text, crop.key).to.not.match(/about 0/);
    }
  });

  it('has no day to cut, in its steps or in the calendar, where nothing grows', () => {
    const [{ projected }] = planned(choiceOf([cropOf('basil')], { place: at(9) })) as [
      ReturnType<typeof planned>[number]
    ];
    expect(stepsOf(projected).some(({ body }) => body.kind === 'cut')).to.equal(false);
    const cold = { ...home, places: new Map([[shelf.id, { ...shelf, dayC: 9, nightC: 9 }]]) };
    const story = { setup: { ...projected.setup, placeId: shelf.id }, events: [] };
    expect(finished(calendarOf(cold, [story], MONDAY)).filter(({ kind }) => kind === 'window')).to.deep.equal(
      []
    );
  });
});
