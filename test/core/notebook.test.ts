import { expect } from 'chai';
import { differing, verdictOf } from '../../src/core/notebook/compare.ts';
import { factsOfStory, type StoryFacts } from '../../src/core/notebook/facts.ts';
import { gramsOf, milestonesOf } from '../../src/core/notebook/milestones.ts';
import { project } from '../../src/core/sowing/project.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { chanceFrom } from '../../src/server/demo/chance.ts';
import { notebookAddress, readNotebookQuery } from '../../src/contract/notebook.ts';
import { chosenWords, verdictWords } from '../../src/words/story.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { event, home, radishTray, SOWN, sown } from '../support/household.ts';

const grown = (netG: number) => [
  sown(),
  event(60, { type: 'uncovered' }),
  event(84, { type: 'lit' }),
  event(156, { type: 'looked', cue: 'windowOpen', reached: true }),
  event(160, { type: 'cut', grossG: netG, tareG: 0, share: 1, last: true })
];
const base = factsOfStory(project(home, radishTray(), grown(100)), SOWN + 30 * DAY);
const story = (
  gPerM2: number | null,
  chosen: Partial<StoryFacts['chosen']> = {},
  more: Partial<StoryFacts> = {}
): StoryFacts => ({
  ...base,
  ...more,
  chosen: { ...base.chosen, ...chosen },
  came: { ...base.came, gPerM2 }
});

const DENSITY = base.chosen.density ?? NaN;

describe('sowings set side by side', () => {
  it('are told apart by what was chosen, and not by what a kitchen cannot tell', () => {
    expect(differing([story(1), story(2, { density: DENSITY * 1.05 })])).to.deep.equal([]);
    expect(differing([story(1), story(2, { density: DENSITY * 1.3, light: 'sill' })])).to.deep.equal([
      'light',
      'density'
    ]);
    expect(verdictOf([story(1), story(2)]).kind).to.equal('alike');
    expect(verdictOf([story(1), story(2, { crop: 'Kale' })]).kind).to.equal('crops');
    const three = [story(1), story(2, { light: 'sill' }), story(3, { light: 'dark' })];
    expect(verdictOf(three)).to.deep.equal({ kind: 'many', ways: 3 });
  });

  it('say more the more trays there are, and are held back by doubt', () => {
    const many = (count: number) => {
      const verdict = verdictOf([
        ...Array.from({ length: count }, () => story(2000)),
        ...Array.from({ length: count }, () => story(2600, { light: 'sill' }))
      ]);
      if (verdict.kind !== 'two') throw new Error(verdict.kind);
      return verdict.yields!;
    };
    const [one, four, sixteen] = [many(1), many(4), many(16)];
    expect(one.sure).to.be.below(0.9);
    expect(sixteen.sure).to.be.above(0.98);
    for (const [less, more] of [
      [one, four],
      [four, sixteen]
    ] as const) {
      expect(more.sure).to.be.above(less.sure);
      expect(more.high / more.low).to.be.below(less.high / less.low);
      expect(more.ratio).to.be.within(less.ratio, 1.3);
    }
  });

  it('are as sure as they are right: of equal ways, eight in ten ranges hold nothing', () => {
    // Two ways that truly differ by a drawn amount, each tray off by chance: the verdict sees the grams alone.
    const chance = chanceFrom(7);
    let [held, all] = [0, 0];
    for (let run = 0; run < 800; run += 1) {
      const truth = chance.normal(0.25);
      const trays = [0, 1, 0, 1, 0].map((way) =>
        story(2000 * Math.exp(way * truth + chance.normal(0.2)), way === 0 ? {} : { light: 'sill' })
      );
      const verdict = verdictOf(trays);
      if (verdict.kind !== 'two' || !verdict.yields) throw new Error(verdict.kind);
      all += 1;
      if (verdict.yields.low <= Math.exp(truth) && Math.exp(truth) <= verdict.yields.high) held += 1;
    }
    expect(held / all).to.be.within(0.74, 0.86);
  });

  it('tell what the trays gave apart from what to expect of the next', () => {
    const verdict = verdictOf([story(3700), story(2310, { light: 'sill' })]);
    const [said] = verdictWords(verdict, (way) => (way === 0 ? 'lamp' : 'sill'), 'metric');
    expect(said).to.include('2310 g/m² compared with 3700 g/m², 38% less in these trays');
    expect(said).to.include('about 19% less');
  });

  it('notice that one was done differently by the same method', () => {
    const later = factsOfStory(
      project(home, radishTray({ method: { ...DEFAULT_METHOD, leafStage: 'true-leaf' } }), [sown()]),
      SOWN
    );
    const [usual] = [factsOfStory(project(home, radishTray(), [sown()]), SOWN)];
    expect(differing([usual, later])).to.deep.equal(['answers']);
    expect(chosenWords(later, 'answers', 'metric', String)).to.equal('First true leaf');
  });

  it('say what they cannot: what was lost, several differences at once, other weeks', () => {
    const verdict = verdictOf([
      story(2000),
      story(null, { light: 'sill', medium: 'hemp-mat' }, { lost: 'mould', startAt: SOWN - 90 * DAY })
    ]);
    const said = verdictWords(verdict, (way) => (way === 0 ? 'lamp' : 'sill'), 'metric').join(' ');
    expect(said).to.include('Grams can’t be compared');
    expect(said).to.include('was lost');
    expect(said).to.include('medium and light');
    expect(said).to.include('different weeks');
    expect(said).to.include('Three trays of each way');
  });
});

describe('plan against fact', () => {
  it('stand beside each other, with what nobody saw left open', () => {
    const expected = project(home, radishTray(), [sown()]);
    const rows = milestonesOf(expected, project(home, radishTray(), grown(120)));
    expect(rows.map(({ milestone }) => milestone)).to.deep.equal(['sown', 'rooted', 'lit', 'opened', 'cut']);
    const opened = rows.find(({ milestone }) => milestone === 'opened')!;
    expect(opened.was).to.equal(SOWN + 156 * HOUR);
    expect((opened.planned! - SOWN) / DAY).to.be.closeTo(6.5, 0.3);
    const unseen = milestonesOf(expected, project(home, radishTray(), [sown()]));
    expect(unseen.filter(({ seen }) => seen).map(({ milestone }) => milestone)).to.deep.equal(['sown']);
    expect(gramsOf(expected, project(home, radishTray(), grown(120))).was).to.equal(120);
  });
});

describe('what is asked of the notebook', () => {
  it('is the same as an address and back, and leaves out what cannot be', () => {
    const id = '00000000-0000-4000-8000-0000000000aa';
    const asked = readNotebookQuery(
      new URLSearchParams(
        `text=sharp&crop=radish&place=${id}&outcome=lost&sort=cut&up=&page=3&column=crop&column=cut`
      )
    );
    expect(asked).to.include({
      text: 'sharp',
      crop: 'radish',
      place: id,
      outcome: 'lost',
      sort: 'cut',
      descending: false,
      page: 3
    });
    expect(readNotebookQuery(new URL(notebookAddress(asked), 'http://x').searchParams)).to.deep.equal(asked);
    const odd = readNotebookQuery(
      new URLSearchParams("crop='; drop&place=x&outcome=all&sort=password&page=-1&column=secret")
    );
    expect(odd).to.include({ crop: null, place: null, outcome: null, sort: 'sown', page: 1 });
    expect(notebookAddress(odd)).to.equal('/notebook');
  });
});
