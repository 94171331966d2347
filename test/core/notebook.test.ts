import { expect } from 'chai';
import { CROPS } from '../../src/core/crops/library.ts';
import { differing, verdictOf } from '../../src/core/notebook/compare.ts';
import { factsOfStory, type StoryFacts } from '../../src/core/notebook/facts.ts';
import { gramsOf, milestonesOf } from '../../src/core/notebook/milestones.ts';
import { guessColumns, readPastCsv, type PastLine } from '../../src/core/notebook/pastCsv.ts';
import { project } from '../../src/core/sowing/project.ts';
import { DAY, HOUR, zoneOf } from '../../src/core/time/zone.ts';
import { chanceFrom } from '../../src/server/demo/chance.ts';
import { notebookAddress, readNotebookQuery } from '../../src/contract/notebook.ts';
import { verdictWords } from '../../src/words/story.ts';
import { event, home, radishTray, SOWN, sown } from '../support/household.ts';

const ZONE = zoneOf('Europe/Madrid');
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

describe('sowings set side by side', () => {
  it('are told apart by what was chosen, and not by what a kitchen cannot tell', () => {
    expect(differing([story(1), story(2, { density: base.chosen.density * 1.05 })])).to.deep.equal([]);
    expect(
      differing([story(1), story(2, { density: base.chosen.density * 1.3, light: 'sill' })])
    ).to.deep.equal(['light', 'density']);
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

  it('say what they cannot: what was lost, several differences at once, other weeks', () => {
    const verdict = verdictOf([
      story(2000),
      story(null, { light: 'sill', medium: 'hemp-mat' }, { lost: 'mould', sownAt: SOWN - 90 * DAY })
    ]);
    const said = verdictWords(verdict, (way) => (way === 0 ? 'lamp' : 'sill')).join(' ');
    expect(said).to.include('Grams cannot be compared');
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

describe('a list of past sowings', () => {
  const now = Date.parse('2026-11-23T12:00Z');
  const read = (text: string, how: Partial<Parameters<typeof readPastCsv>[3]> = {}) =>
    readPastCsv(text, ZONE, CROPS, { by: null, order: null, now, ...how });
  const lines = (text: string, how = {}): PastLine[] => {
    const came = read(text, how);
    if (came.ok !== true) throw new Error(JSON.stringify(came));
    return came.lines;
  };
  const code = (line: PastLine | undefined) => (line?.ok === false ? line.problem.code : 'ok');

  it('is read by its heads, in the languages people write them in', () => {
    expect(guessColumns(['Crop', 'Sown', 'Harvested', 'Yield (g)', 'Notes'])).to.include({
      crop: 0,
      sown: 1,
      cut: 2,
      grams: 3,
      note: 4
    });
    expect(guessColumns(['Cultivo', 'Siembra', 'Cosecha', 'Rendimiento'])).to.include({
      crop: 0,
      sown: 1,
      cut: 2,
      grams: 3
    });
    expect(guessColumns(['Sorte', 'Aussaat', 'Ernte', 'Ertrag'])).to.include({
      crop: 0,
      sown: 1,
      cut: 2,
      grams: 3
    });
    expect(read('a,b\n1,2\n').ok).to.equal(false);
    expect(read('crop').ok).to.equal(false);
  });

  it('takes days of any order, and asks where they can be read two ways', () => {
    const day = (typed: string, how = {}) => {
      const [line] = lines(`crop;sown\nradish;${typed}\n`, how);
      return line?.ok ? ZONE.date(line.past.sownAt).toString() : code(line);
    };
    expect(day('2026-03-05')).to.equal('2026-03-05');
    expect(day('5.3.2026')).to.equal('2026-03-05');
    expect(day('25/3/2026')).to.equal('2026-03-25');
    expect(day('3/25/2026')).to.equal('2026-03-25');
    expect(read('crop;sown\nradish;5/3/2026\n').ok).to.equal('ask-order');
    expect(day('5/3/2026', { order: 'day-first' })).to.equal('2026-03-05');
    expect(day('5/3/2026', { order: 'month-first' })).to.equal('2026-05-03');
    expect(day('2026-02-30')).to.equal('time-unread');
    expect(day('2026-12-24')).to.equal('past-day-cannot-be');
  });

  it('says of each line what is wrong with it, and takes the others', () => {
    const came = lines(
      [
        'crop;sown;harvested;yield;lost',
        'Radish;2026-03-01;2026-03-09;120,5;',
        'Moonweed;2026-03-01;;;',
        'radish;;;;',
        'radish;2026-03-09;2026-03-01;100;',
        'radish;2026-03-01;2026-03-09;much;',
        'radish;2026-03-01;;100;',
        '',
        'Raphanus sativus;2026-04-01;2026-04-05;;mould'
      ].join('\r\n')
    );
    expect(came.map(({ line }) => line)).to.deep.equal([2, 3, 4, 5, 6, 7, 9]);
    expect(came.map(code)).to.deep.equal([
      'ok',
      'past-no-crop',
      'past-not-sown',
      'past-day-cannot-be',
      'past-no-number',
      'past-cut-no-day',
      'ok'
    ]);
    const [first, last] = [came[0]!, came.at(-1)!];
    if (!first.ok || !last.ok) throw new Error('They were read.');
    expect(first.past).to.include({ cropKey: 'radish', cutG: 120.5, lost: null });
    expect(last.past.lost).to.equal('mould');
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
