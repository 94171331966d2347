import { expect } from 'chai';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { askOf } from '../../src/core/steps/ask.ts';
import { leavesDark } from '../../src/core/steps/step.ts';
import { methodOf } from '../../src/core/supplies/methods/ready.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { event, home, radishTray, shelf, sown, SOWN } from '../support/household.ts';

const cupboard = {
  ...shelf,
  id: '00000000-0000-4000-8000-0000000000d1',
  name: 'Cupboard',
  light: { kind: 'dark' }
} as const;
const house: HouseholdFacts = { ...home, places: new Map([...home.places, [cupboard.id, cupboard]]) };
const asks = (hours: number, events: SowingEvent[], more: Partial<SowingSetup> = {}) => {
  const now = SOWN + hours * HOUR;
  const sowing = project(house, radishTray({ placeId: cupboard.id, ...more }), events);
  return askOf(sowing, roundAt(house.rhythm, now), now);
};

describe('a tray that sprouts in a cupboard', () => {
  const domed = [
    sown(),
    event(48, { type: 'uncovered' }),
    event(76, { type: 'looked', cue: 'lightReady', reached: true })
  ];

  it('is carried to light by the step that takes its dome off, under any method', () => {
    const [step] = asks(77, domed).steps;
    expect(step!.body).to.deep.equal({ kind: 'light', where: 'dark', by: null });
    expect(leavesDark(step!.body)).to.equal(true);
    const straight = asks(49, [sown(), event(48, { type: 'looked', cue: 'rooted', reached: true })], {
      method: methodOf('stack-and-light')
    }).steps.find(({ body }) => body.kind === 'uncover')!;
    expect(leavesDark(straight.body)).to.equal(true);
    const dome = asks(49, [sown(), event(48, { type: 'looked', cue: 'rooted', reached: true })]).steps[0]!;
    expect(dome.body).to.include({ kind: 'uncover', to: 'blackout' });
    expect(leavesDark(dome.body), 'a dark dome goes on where it is').to.equal(false);
    expect(leavesDark({ kind: 'light', where: 'sill', by: null })).to.equal(false);
  });

  it('is missed at its place once it is lit there, and not once it was carried on', () => {
    const lit = [...domed, event(77, { type: 'lit' })];
    const kinds = (events: SowingEvent[]) => asks(90, events).notes.map(({ kind }) => kind);
    expect(kinds(lit)).to.include('in-the-dark');
    expect(kinds([...lit, event(78, { type: 'moved', placeId: shelf.id })])).not.to.include('in-the-dark');
    expect(asks(90, lit, { cropKey: 'maize-shoot' }).notes.map(({ kind }) => kind)).not.to.include(
      'in-the-dark'
    );
  });
});
