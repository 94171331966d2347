import { expect } from 'chai';
import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { CROPS } from '../../src/core/crops/library.ts';
import { lessonOf } from '../../src/core/growth/learned.ts';
import { guessColumns } from '../../src/core/notebook/past/columns.ts';
import { CropNames } from '../../src/core/notebook/past/cropNames.ts';
import { nameKeyOf, readPast, type PastAnswers } from '../../src/core/notebook/past/readPast.ts';
import type { PastSowing } from '../../src/core/notebook/past/pastSowing.ts';
import {
  gatherTaught,
  isFarFromBook,
  lessonsWith,
  type PastTaught
} from '../../src/core/notebook/past/taught.ts';
import { DAY_ORDERS, dayOrders, readDay, type DayOrder } from '../../src/core/time/readDay.ts';
import { zoneOf } from '../../src/core/time/zone.ts';

const ZONE = zoneOf('Europe/Madrid');
const NOW = Date.parse('2026-11-23T12:00Z');
const GROUND = {
  zone: ZONE,
  now: NOW,
  crops: CROPS,
  places: [{ id: 'sill', name: 'Kitchen sill' }],
  containers: [{ id: 'blue', name: 'Blue tray' }]
};
const ANSWERS: PastAnswers = { by: null, order: null, massUnit: 'g', lengthUnit: 'cm', names: new Map() };

const listOf = (text: string, answers: Partial<PastAnswers> = {}) => {
  const read = readPast(text, GROUND, { ...ANSWERS, ...answers });
  if (!read.ok) throw new Error(read.problem.code);
  return read;
};
/** Each line as its sowing or the code of its problem. */
const linesOf = (text: string, answers: Partial<PastAnswers> = {}) =>
  listOf(text, answers).lines.map((line) => (line.ok ? line.past : line.problem.code));
const sowingOf = (text: string, answers: Partial<PastAnswers> = {}): PastSowing => {
  const [first] = linesOf(text, answers);
  if (typeof first !== 'object') throw new Error(first);
  return first;
};

describe('a date as people write it', () => {
  const days = fc
    .date({ min: new Date('2000-01-01T12:00Z'), max: new Date('2026-12-31T12:00Z'), noInvalidDate: true })
    .map((date) => Temporal.PlainDate.from(date.toISOString().slice(0, 10)));
  const two = (part: number) => String(part).padStart(2, '0');
  const named = (language: string, width: 'long' | 'short') => (day: Temporal.PlainDate) =>
    new Intl.DateTimeFormat(language, {
      day: 'numeric',
      month: width,
      year: 'numeric',
      timeZone: 'UTC'
    }).format(Date.UTC(day.year, day.month - 1, day.day));
  const FORMS: Record<string, { order: DayOrder; write: (day: Temporal.PlainDate) => string }> = {
    iso: { order: 'month-first', write: String },
    compact: { order: 'month-first', write: (day) => String(day).replaceAll('-', '') },
    points: { order: 'month-first', write: ({ year, month, day }) => `${day}.${month}.${year}` },
    british: { order: 'day-first', write: ({ year, month, day }) => `${two(day)}/${two(month)}/${year}` },
    american: { order: 'month-first', write: ({ year, month, day }) => `${month}/${day}/${two(year % 100)}` },
    short: {
      order: 'year-first',
      write: ({ year, month, day }) => `${two(year % 100)}-${two(month)}-${two(day)}`
    },
    ordinal: { order: 'day-first', write: (day) => named('en', 'long')(day).replace(/(\d+),/, '$1th,') },
    weekday: { order: 'day-first', write: (day) => `Thursday, ${named('en-GB', 'short')(day)}` },
    spanish: { order: 'year-first', write: named('es', 'long') },
    german: { order: 'month-first', write: named('de', 'long') },
    french: { order: 'day-first', write: named('fr', 'short') },
    polish: { order: 'day-first', write: named('pl', 'long') }
  };
  for (const [form, { order, write }] of Object.entries(FORMS))
    it(`is read back from its ${form} form`, () => {
      fc.assert(
        fc.property(days, (day) => {
          expect(String(readDay(write(day), order)), write(day)).to.equal(String(day));
        })
      );
    });

  it('is not guessed from what is no date', () => {
    for (const typed of [
      '',
      '4 Dec',
      '12/2025',
      '31.2.2025',
      '2026-02-29',
      '45992',
      '1/2/3/4',
      'Mayonnaise 3 2025'
    ])
      for (const order of DAY_ORDERS) expect(readDay(typed, order), typed).to.equal(null);
    expect(String(readDay('29 Feb 2024', 'day-first'))).to.equal('2024-02-29');
  });

  it('is asked about only where the days of a file leave it open', () => {
    const told = (...rows: string[][]) =>
      dayOrders(rows, { latest: Temporal.PlainDate.from('2026-11-23'), mostD: 150 });
    expect(told(['06-01-26'])).to.deep.equal(['day-first', 'month-first', 'year-first']);
    expect(told(['5/3/2026'])).to.deep.equal(['day-first', 'month-first']);
    expect(told(['5/3/2026'], ['25/3/2026'])).to.deep.equal(['day-first']);
    expect(told(['5/3/2026'], ['3/25/2026'])).to.deep.equal(['month-first']);
    // What would run backwards, past today or for half a year speaks against its order.
    expect(told(['5/3/2026', '9/3/2026'])).to.deep.equal(['day-first', 'month-first']);
    expect(told(['10/3/2026', '9/4/2026'])).to.deep.equal(['day-first']);
    expect(told(['11/12/2026'])).to.deep.equal(['month-first']);
    expect(told(['12/11/2026'])).to.deep.equal(['day-first']);
    expect(told(['2026-03-05'])).to.deep.equal(['day-first']);
    // One slip does not overrule the others.
    expect(told(['25/3/2026'], ['26/3/2026'], ['3/27/2026'])).to.deep.equal(['day-first']);
  });
});

describe('the columns of a list of past sowings', () => {
  const guess = (header: string, ...rows: string[]) => {
    const by = guessColumns(
      header.split(header.includes(';') ? ';' : ','),
      rows.map((row) => row.split(','))
    );
    return Object.fromEntries(Object.entries(by).filter(([, at]) => at >= 0));
  };

  it('are known by their names, in the languages people write them in', () => {
    expect(guess('Crop,Sown,Harvested,Yield (g),Notes')).to.deep.equal({
      crop: 0,
      sown: 1,
      cut: 2,
      grams: 3,
      note: 4
    });
    expect(guess('Cultivo,Siembra,Cosecha,Rendimiento')).to.deep.equal({
      crop: 0,
      sown: 1,
      cut: 2,
      grams: 3
    });
    expect(guess('Sorte,Aussaat,Ernte,Ertrag')).to.deep.equal({ crop: 0, sown: 1, cut: 2, grams: 3 });
    expect(guess('a,b')).to.deep.equal({});
  });

  it('never take seed for yield, nor a count or a rate for either', () => {
    for (const seed of [
      'Seed (g)',
      'Seed, g',
      'Seed weight',
      'seed_g',
      'Grams of seed',
      'Saatgut [g]',
      'Seed oz'
    ])
      expect(guess(`Crop;Sown;${seed}`), seed).to.deep.equal({ crop: 0, sown: 1, seed: 2 });
    for (const other of ['Days to harvest', 'Germination rate', 'Seed lot', 'Seeds per tray', 'Price'])
      expect(guess(`Crop,Sown,${other}`, 'radish,2026-03-01,9'), other).to.deep.equal({ crop: 0, sown: 1 });
  });

  it('are told apart by what stands in them where their names leave it open', () => {
    expect(guess('Crop,Sown,Harvest,Harvested', 'radish,2026-03-01,120,2026-03-09')).to.include({
      grams: 2,
      cut: 3
    });
    expect(guess('Crop,Sown,Harvest', 'radish,2026-03-01,2026-03-09')).to.include({ cut: 2 });
    expect(guess('Seed,Seeded,Grams', 'Radish,2026-03-01,120')).to.deep.equal({ crop: 0, sown: 1, grams: 2 });
    expect(guess('Crop,Sown,Tray,Trays', 'radish,2026-03-01,10x20,2')).to.include({ container: 2, count: 3 });
  });
});

describe('the crop that a list names', () => {
  const names = new CropNames(CROPS);

  it('is found in several languages, in the plural and with its variety', () => {
    const found = {
      radishes: 'radish',
      Rabanito: 'radish',
      Erbsen: 'pea',
      'Radish, China Rose': 'radish',
      'Raphanus sativus': 'radish',
      SUNFLOWER: 'sunflower',
      'Red Cabbage': 'cabbage-red'
    };
    for (const [typed, key] of Object.entries(found)) expect(names.named(typed)?.key, typed).to.equal(key);
  });

  it('is not guessed, but suggested', () => {
    for (const typed of ['Moonweed', 'Sunflowr', 'wild radish', 'Radish + mustard', 'house mix', 'tomato'])
      expect(names.named(typed), typed).to.equal(null);
    const like = (typed: string) => names.like(typed).map(({ key }) => key);
    expect(like('Sunflowr')).to.deep.equal(['sunflower']);
    expect(like('Radish + mustard')).to.deep.equal(['radish', 'mustard']);
    expect(like('peas')[0]).to.equal('pea');
    expect(like('Moonweed')).to.deep.equal([]);
    // The seedlings of a tomato are poisonous: it stands for no crop.
    expect(like('tomato')).to.deep.equal([]);
  });

  it('can be the household’s own', () => {
    const own = { ...CROPS[0]!, key: 'own-1', name: 'House radish' };
    expect(new CropNames([...CROPS, own]).named('house  Radish')?.key).to.equal('own-1');
  });
});

describe('a list of past sowings', () => {
  it('is read with units in its head, in its cells, or as somebody says', () => {
    const first = (text: string, answers = {}) => {
      const { seedG, cutG } = sowingOf(text, answers);
      return [seedG, cutG?.toFixed(1)];
    };
    expect(first('crop,sown,cut,seed (g),yield (oz)\nradish,2026-03-01,2026-03-09,11.8,4\n')).to.deep.equal([
      11.8,
      '113.4'
    ]);
    expect(first('crop;sown;cut;seed;yield\nradish;2026-03-01;2026-03-09;11,8 g;4 oz.\n')).to.deep.equal([
      11.8,
      '113.4'
    ]);
    const bare = 'crop,sown,cut,yield\nradish,2026-03-01,2026-03-09,4\n';
    expect([...listOf(bare).unitless]).to.deep.equal(['mass']);
    expect(first(bare)).to.deep.equal([null, '4.0']);
    expect(first(bare, { massUnit: 'oz' })).to.deep.equal([null, '113.4']);
  });

  it('asks about a name once for all its lines, and remembers the answer', () => {
    const text =
      'crop,sown,lost\nMoonweed,2026-03-01,mould\nradish,2026-03-01,mould\n moonweed,2026-03-02,mould\n';
    const list = listOf(text);
    expect(list.unknown.map(({ typed, lines }) => [typed, lines])).to.deep.equal([['Moonweed', 2]]);
    expect(linesOf(text).filter((line) => line === 'past-no-crop')).to.have.length(2);
    const answered = listOf(text, { names: new Map([[nameKeyOf('Moonweed'), 'mizuna']]) });
    expect(answered.lines.map((line) => line.ok && line.past.cropKey)).to.deep.equal([
      'mizuna',
      'radish',
      'mizuna'
    ]);
    const left = listOf(text, { names: new Map([[nameKeyOf('Moonweed'), null]]) });
    expect([left.leftOut, left.lines.length]).to.deep.equal([2, 1]);
  });

  it('is not read before somebody says how its days are written, where they leave it open', () => {
    const text = 'crop;sown;lost\nradish;06-01-26;mould\n';
    const { orders, ambiguous, lines } = listOf(text);
    expect([orders, ambiguous, lines]).to.deep.equal([
      ['day-first', 'month-first', 'year-first'],
      '06-01-26',
      []
    ]);
    const on = (order: DayOrder) => ZONE.date(sowingOf(text, { order }).sownAt).toString();
    expect(DAY_ORDERS.map(on)).to.deep.equal(['2026-01-06', '2026-06-01', '2006-01-26']);
  });

  it('knows a container by its name or its size, and says where it does not', () => {
    const grewIn = (tray: string, answers = {}) =>
      sowingOf(`crop;sown;lost;tray\nradish;2026-03-01;mould;${tray}\n`, answers).container;
    expect(grewIn('blue TRAY')).to.deep.equal({ id: 'blue' });
    expect(grewIn('25x18 cm')).to.deep.equal({ lengthCm: 25, widthCm: 18 });
    expect(grewIn('10 × 20', { lengthUnit: 'in' })).to.deep.equal({ lengthCm: 50.8, widthCm: 25.4 });
    expect(grewIn('the old one')).to.equal(null);
    expect(sowingOf('crop,sown,lost,diameter (mm)\nradish,2026-03-01,mould,120\n').container).to.deep.equal({
      lengthCm: 12,
      widthCm: null
    });
  });

  it('says of each line what is wrong with it, and takes the others', () => {
    const text = [
      'crop;sown;harvested;yield;lost;place;trays',
      'Radish;2026-03-01;2026-03-09;120,5;;kitchen sill;2',
      'Moonweed;2026-03-01;;;mould;;',
      'radish;;;;mould;;',
      'radish;2026-03-09;2026-03-01;100;;;',
      'radish;2026-03-01;2026-03-09;much;;;',
      'radish;2026-03-01;;100;;;',
      'radish;2026-03-01;;;;;',
      'radish;soon;;;mould;;',
      'radish;2026-12-24;;;mould;;',
      'radish;2026-03-01;2026-03-09;90000;;;',
      'radish;2026-03-01;2026-03-09;100;;;1.5',
      '',
      'Raphanus sativus;2026-04-01;2026-04-05;-;mould;Attic;n/a'
    ].join('\r\n');
    const list = listOf(text);
    expect(list.lines.map(({ line }) => line)).to.deep.equal([2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 14]);
    const [first, ...others] = linesOf(text);
    expect(first).to.include({ cropKey: 'radish', cutG: 120.5, lost: null, placeId: 'sill', count: 2 });
    expect(others.slice(0, -1)).to.deep.equal([
      'past-no-crop',
      'past-not-sown',
      'past-day-cannot-be',
      'past-no-number',
      'past-cut-no-day',
      'past-no-end',
      'past-day-unread',
      'past-day-cannot-be',
      'past-too-much',
      'past-no-count'
    ]);
    expect(others.at(-1)).to.include({ lost: 'mould', placeId: null, cutG: null, count: 1 });
    expect(list.otherPlaces).to.deep.equal(['Attic']);
  });

  it('counts lines that say the same as so many sowings', () => {
    const same = 'radish,2026-03-01,2026-03-09\n';
    const copies = linesOf(`crop,sown,cut\n${same}${same}radish,2026-03-02,2026-03-09\n${same}`);
    expect(copies.map((line) => typeof line === 'object' && line.copy)).to.deep.equal([0, 1, 0, 2]);
  });

  it('is refused as a whole where it is no list', () => {
    const code = (text: string) => {
      const read = readPast(text, GROUND, ANSWERS);
      return read.ok ? 'ok' : read.problem.code;
    };
    expect(code('a,b\n1,2\n')).to.equal('past-no-columns');
    expect(code('crop')).to.equal('past-no-header');
    expect(code('crop,sown\n\u0000')).to.equal('file-no-text');
    expect(code(`crop,sown\n${'radish,2026-03-01\n'.repeat(2000)}`)).to.equal('past-too-many');
  });
});

describe('what past sowings would teach', () => {
  const message = fc.record({
    mean: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
    variance: fc.double({ min: 0.01, max: 1, noNaN: true })
  });
  const taught = fc
    .record({
      cropKey: fc.constantFrom('radish', 'pea'),
      pace: fc.option(message),
      yields: fc.option(message)
    })
    .map(({ cropKey, pace, yields }): PastTaught => ({
      cropKey,
      sowings: 1,
      pace,
      reliable: pace,
      paced: pace ? 1 : 0,
      yields,
      weighed: yields ? 1 : 0
    }));
  const NOTHING = { learned: { ended: [], underWay: [] }, yields: [] };

  it('is the same however the list is parted', () => {
    fc.assert(
      fc.property(fc.array(taught, { minLength: 1, maxLength: 12 }), fc.nat(12), (all, at) => {
        const whole = gatherTaught([all]);
        const parts = gatherTaught([gatherTaught([all.slice(0, at)]), gatherTaught([all.slice(at)])]);
        expect(parts.map(({ cropKey }) => cropKey)).to.deep.equal(whole.map(({ cropKey }) => cropKey));
        parts.forEach((part, index) => {
          expect(part.sowings).to.equal(whole[index]!.sowings);
          if (part.pace) expect(part.pace.mean).to.be.closeTo(whole[index]!.pace!.mean, 1e-9);
          if (part.yields) expect(part.yields.variance).to.be.closeTo(whole[index]!.yields!.variance, 1e-9);
        });
      })
    );
  });

  it('is added to what is known, crop by crop, and leaves other crops’ trays alone', () => {
    const said = { mean: 0.2, variance: 0.01 };
    const one: PastTaught = {
      cropKey: 'radish',
      sowings: 3,
      pace: said,
      reliable: said,
      paced: 2,
      yields: said,
      weighed: 3
    };
    const radish = CROPS.find(({ key }) => key === 'radish')!;
    const once = lessonsWith(NOTHING, [one]);
    const twice = lessonsWith(once, [one]);
    expect(lessonOf(once.learned, radish)).to.include({ trays: 2 });
    expect(lessonOf(twice.learned, radish)).to.include({ trays: 4 });
    expect(twice.yields).to.deep.equal([
      { cropKey: 'radish', message: { mean: 0.2, variance: 0.005 }, trays: 6 }
    ]);
    expect(
      lessonsWith(once, [{ ...one, pace: null, reliable: null, paced: 0, yields: null, weighed: 0 }])
    ).to.deep.equal(once);
  });

  it('is questioned where yields are far from the book', () => {
    const of = (mean: number): PastTaught => ({
      cropKey: 'radish',
      sowings: 1,
      pace: null,
      reliable: null,
      paced: 0,
      yields: { mean, variance: 0.04 },
      weighed: 1
    });
    expect([of(0.1), of(Math.log(28.35)), of(-2)].map(isFarFromBook)).to.deep.equal([false, true, true]);
  });
});
