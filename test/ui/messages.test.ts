import { readdirSync, readFileSync } from 'node:fs';
import { expect } from 'chai';
import { Linter } from 'eslint';
import { noProse } from '../../commands/lint/noProse.js';
import { packed, unpacked, type Element } from '../../src/messages/packed.ts';
import { cropName } from '../../src/words/cropNames.ts';
import { shortDate } from '../../src/words/time.ts';
import { language, readLanguageFrom, register, rich, t, table } from '../../src/messages/t.ts';

interface Entry {
  defaultMessage: string;
  description?: string;
}
const FOLDER = 'src/messages/en';
const COMPILED = 'src/messages/compiled';
const ENTRIES = readdirSync(FOLDER).flatMap((name) =>
  Object.entries(JSON.parse(readFileSync(`${FOLDER}/${name}`, 'utf8')) as Record<string, Entry>).map(
    ([key, entry]) => ({ area: name.replace('.json', ''), key, ...entry })
  )
);

/** What gave away that English was not the writer's own language. */
const GIVEN_AWAY =
  /\bof before\b|\banew\b|\bstands? here\b|\bis told\b|\bis looked for\b|\bof late\b|\bNobody has said\b|\bwhat it comes to\b|\bat hand of\b|\bwalks? this round\b/i;

const ofLanguage = (tag: string): Record<string, string> =>
  Object.fromEntries(
    readdirSync(`src/messages/${tag}`).flatMap((name) =>
      Object.entries(
        JSON.parse(readFileSync(`src/messages/${tag}/${name}`, 'utf8')) as Record<string, Entry>
      ).map(([key, { defaultMessage }]) => [key, defaultMessage])
    )
  );
const ENGLISH = ofLanguage('en');
const EFFECTIVE = { ...ENGLISH, ...ofLanguage('en-US') };
/** Spelled so by nobody in the United States. */
const BRITISH =
  /(?<!\{)\b(mould\w*|litres?|\w*metres?|draughts?|grey|flavours?|favour\w*|colours?|centred|labelled|labelling|cancelled|licences?|rocket|coriander|beetroot|maize)\b(?!,)/i;
const NOON = Date.parse('2026-12-12T12:00Z');
const MADRID = { zone: 'Europe/Madrid', units: 'metric' } as const;

describe('the catalogue', () => {
  it('has every message under its area, with a description', () => {
    expect(ENTRIES.length).to.be.above(2000);
    const wrong = ENTRIES.filter(
      ({ area, key, defaultMessage, description }) =>
        !key.startsWith(`${area}.`) || !defaultMessage || !description
    );
    expect(wrong.map(({ key }) => key)).to.deep.equal([]);
  });

  it('is free of the phrases that nobody would say', () => {
    const said = ENTRIES.filter(({ defaultMessage }) => GIVEN_AWAY.test(defaultMessage));
    expect(said.map(({ key, defaultMessage }) => `${key}: ${defaultMessage}`)).to.deep.equal([]);
  });
});

describe('messages', () => {
  after(() => readLanguageFrom(() => 'en'));

  it('agree with their numbers', () => {
    expect([0, 1, 2].map((trays) => t('reminders.trayNeedsYouTraysNeed', { trays }))).to.deep.equal([
      '0 trays need you',
      '1 tray needs you',
      '2 trays need you'
    ]);
  });

  it('come in pieces where they have tags, in the order of the sentence', () => {
    expect(rich('ahead.broteHasKnowContainerPlace')).to.deep.equal([
      { text: 'Brote needs to know a container and a place first: ', tag: null },
      { text: 'plan a sowing', tag: 'link' },
      { text: ' to add both.', tag: null }
    ]);
  });

  it('are read when they are asked for, so that a table of them follows its reader', () => {
    register('xx', { 'ahead.number.1': 'eins' });
    const numbers = table('ahead.number');
    readLanguageFrom(() => 'xx-YY');
    // What a language lacks is said in the one it falls back to.
    expect([language(), numbers['1'], numbers['2']]).to.deep.equal(['xx-YY', 'eins', 'two']);
    readLanguageFrom(() => 'en');
    expect(numbers['1']).to.equal('one');
    const any: Readonly<Record<string, string | undefined>> = numbers;
    expect([
      any['99'],
      any.__proto__,
      any.toString,
      'constructor' in any,
      Object.keys(any).length
    ]).to.deep.equal([undefined, undefined, undefined, false, 6]);
  });

  it('are spelled, and name crops, as Americans do in American English, and are otherwise the same', () => {
    const words = () => [
      t('looks.cause.mould.is'),
      cropName('Arugula'),
      shortDate(NOON, MADRID),
      t('tray.lifted')
    ];
    expect(words()).to.deep.equal(['Mould', 'Rocket', 'Sat 12 Dec', 'Tray weight']);
    readLanguageFrom(() => 'en-US');
    expect(words()).to.deep.equal(['Mold', 'Arugula', 'Sat, Dec 12', 'Tray weight']);
    const british = Object.keys(ENGLISH).filter((key) => BRITISH.test(EFFECTIVE[key]!));
    readLanguageFrom(() => 'en');
    expect(british).to.deep.equal([]);
  });

  it('have a pseudo-language that is accented and longer', () => {
    readLanguageFrom(() => 'en-XA');
    const accented = t('app.notFound.title');
    readLanguageFrom(() => 'en');
    expect(accented).to.match(/[ƞǿḗ]/);
    expect(accented.length).to.be.above(t('app.notFound.title').length);
  });

  it('reach a browser whole in every language, also where a regional one says only what differs', () => {
    const keysOf = (tag: string, file: string) =>
      Object.keys(JSON.parse(readFileSync(`${COMPILED}/${tag}/views/${file}`, 'utf8')) as object).sort();
    for (const file of readdirSync(`${COMPILED}/en/views`))
      for (const tag of ['en-US', 'en-XA']) expect(keysOf(tag, file), file).to.deep.equal(keysOf('en', file));
  });

  it('say which of them is not loaded', () => {
    expect(() => t('nowhere.at.all' as never)).to.throw('“nowhere.at.all” is not loaded');
  });

  it('travel packed, and are unpacked as they were', () => {
    const message: Element[] = [
      { type: 0, value: 'Cut ' },
      {
        type: 6,
        value: 'trays',
        options: {
          one: {
            value: [
              { type: 7, value: '' },
              { type: 0, value: ' tray' }
            ]
          },
          other: { value: [{ type: 1, value: 'trays' }] }
        },
        offset: 0,
        pluralType: 'cardinal'
      },
      { type: 5, value: 'how', options: { other: { value: [{ type: 0, value: '.' }] } } },
      { type: 8, value: 'link', children: [{ type: 0, value: 'now' }] },
      { type: 2, value: 'share' }
    ];
    const plainly = (elements: readonly Element[]) =>
      JSON.parse(
        JSON.stringify(elements, (key, value: unknown) =>
          key === 'value' && value === '' ? undefined : value
        )
      );
    expect(plainly(unpacked(JSON.parse(JSON.stringify(packed(message)))))).to.deep.equal(plainly(message));
  });
});

describe('the rule against prose in the source', () => {
  const linter = new Linter();
  const found = (code: string): number =>
    linter.verify(code, {
      plugins: { brote: { rules: { 'no-prose': noProse } } },
      rules: { 'brote/no-prose': 'error' }
    }).length;

  it('finds sentences, words of labels and templates', () => {
    for (const code of [
      "const say = 'Nothing to do here.';",
      "const label = 'Soak';",
      'const say = `${n} trays need you`;',
      "const one = { text: 'Cut it now' };",
      "const tab = { path: '/round', name: 'Round' };",
      "answer(422, 'Choose a crop.');"
    ])
      expect(found(code), code).to.equal(1);
  });

  it('leaves codes, keys, paths, styles and SQL alone', () => {
    for (const code of [
      "const kind = 'cut-and-weigh';",
      "if (key === 'Escape') close();",
      "t('round.lead.need');",
      "fetch('/api/sowings and more');",
      "throw new RangeError('No water is less than none.');",
      "const path = '/tray/one two';",
      'sql`select id from lots where name is not null`;',
      "const zone = 'Europe/Madrid';"
    ])
      expect(found(code), code).to.equal(0);
  });
});
