import { expect } from 'chai';
import fc from 'fast-check';
import { CROPS } from '../../src/core/crops/library.ts';
import { DANGEROUS, meaningOf } from '../../src/core/crops/names/lexicon.ts';
import { isOneEdit } from '../../src/core/crops/names/oneEdit.ts';
import {
  confirmationOf,
  doubtIn,
  verdictOnName,
  verdictOnPlant,
  type NameVerdict
} from '../../src/core/crops/names/verdict.ts';
import { CONFIRMATIONS, doubtWords } from '../../src/words/plantNames.ts';
import { plantNameWords } from '../../src/core/crops/names/wordsOf.ts';
import { NAMES, type Answer } from './names/table.ts';

const answerOf = (verdict: NameVerdict): Answer =>
  verdict.kind === 'unknown' && verdict.because === 'script' ? 'script' : verdict.kind;
const plant = (name: string, botanicalName = '', family = '') =>
  verdictOnPlant({ name, botanicalName, family });

const LETTERS = [...'abcdefghijklmnopqrstuvwxyz'];
/** A word with one letter left out, added, changed, or swapped with the next. */
const edited = fc
  .record({
    word: fc.constantFrom(...DANGEROUS.map(({ written }) => written)),
    at: fc.nat(40),
    letter: fc.constantFrom(...LETTERS),
    how: fc.constantFrom('leave out', 'add', 'change', 'swap')
  })
  .map(({ word, at: somewhere, letter, how }) => {
    const at = somewhere % word.length;
    const [before, after] = [word.slice(0, at), word.slice(at + 1)];
    if (how === 'leave out') return { word, typed: before + after };
    if (how === 'add') return { word, typed: before + letter + word.slice(at) };
    if (how === 'change') return { word, typed: before + letter + after };
    return { word, typed: before + after.slice(0, 1) + word[at] + after.slice(1) };
  });

describe('the name of a plant', () => {
  it('gets its answer from the table of names', () => {
    const wrong = NAMES.flatMap(({ name, answer }) => {
      const given = answerOf(verdictOnName(name));
      const isRight = answer === 'food' ? given === 'known' || given === 'unknown' : given === answer;
      return isRight ? [] : [`${name}: ${given}, not ${answer}`];
    });
    expect(wrong).to.deep.equal([]);
    expect(NAMES.length).to.be.at.least(1500);
  });

  it('is known for every crop of the library', () => {
    for (const crop of CROPS) {
      expect(verdictOnPlant(crop), crop.key).to.deep.equal({ kind: 'known' });
      expect(verdictOnName(crop.name), crop.name).to.deep.equal({ kind: 'known' });
    }
  });

  it('reads the same in capitals, with hyphens, without accents and written as one word', () => {
    for (const { name, answer } of NAMES.filter(
      ({ answer }) => answer === 'refused' || answer === 'warned'
    )) {
      const words = name.split(/[\s-]+/);
      const isListed = meaningOf(plantNameWords(name)) !== null;
      for (const other of [name.toUpperCase(), words.join('-'), ...(isListed ? [words.join('')] : [])])
        expect(['refused', 'warned', 'misspelled'], `${other}, ${answer}`).to.include(
          verdictOnName(other).kind
        );
    }
  });

  it('with one letter wrong is asked about, unless that makes a listed name of it', () => {
    fc.assert(
      fc.property(edited, fc.constantFrom('', 'purple ', 'garden '), ({ typed }, before) => {
        // What reads as an umlaut after the edit is more than one edit away.
        fc.pre(meaningOf([typed]) === null && plantNameWords(typed)[0] === typed);
        expect(verdictOnName(before + typed).kind, before + typed).to.equal('misspelled');
      }),
      { numRuns: 1000 }
    );
  });

  it('is judged by its botanical name and family as well', () => {
    expect(plant('Something', 'Solanum lycopersicum')).to.include({ kind: 'refused', why: 'nightshade' });
    expect(plant('Something', '', 'Solanaceae')).to.include({ kind: 'refused', why: 'nightshade' });
    expect(plant('Radish', 'Zantedeschia aethiopica').kind).to.equal('unknown');
    expect(plant('Stardust', 'Raphanus sativus').kind).to.equal('known');
    expect(plant('Castr bean', 'Raphanus sativus').kind).to.equal('misspelled');
    expect(plant('Lentil', 'Vicia sativa').kind).to.equal('refused');
    expect(plant('Lentil', 'Vicia lens').kind).to.equal('known');
    expect(plant('Bean', 'Vicia faba').kind).to.equal('warned');
  });

  it('keeps a doubt until that doubt about that name is confirmed', () => {
    const castr = { name: 'Castr bean', botanicalName: '', family: '' };
    const doubt = doubtIn(verdictOnPlant(castr))!;
    expect(doubtWords(doubt)).to.equal('Did you mean castor bean? That plant is poisonous as a seedling.');
    expect(CONFIRMATIONS[doubt.kind]).to.match(/^It is another plant/);
    expect(confirmationOf(doubt, castr)).to.equal(confirmationOf(doubt, { ...castr, name: ' castr bean' }));
    expect(confirmationOf(doubt, castr)).to.not.equal(
      confirmationOf(doubt, { ...castr, name: 'Castrr bean' })
    );
    expect(doubtIn(verdictOnName('castor bean'))).to.equal(null);
    expect(doubtIn(verdictOnName('radish'))).to.equal(null);
    expect(doubtWords(doubtIn(verdictOnName('casava'))!)).to.match(/^Did you mean cassava\? .*cyanide/);
    expect(doubtWords(doubtIn(verdictOnName('raddish'))!)).to.match(
      /^Did you mean radish\? Brote does not know/
    );
    expect(verdictOnName('wild raddish')).to.deep.include({ near: null });
    expect(doubtWords(doubtIn(verdictOnName('редис'))!)).to.match(/cannot read plant names in this script/);
  });
});

describe('one edit', () => {
  it('is a letter more, fewer, changed, or two swapped', () => {
    for (const [a, b] of [
      ['tomato', 'tomatto'],
      ['tomato', 'tmato'],
      ['tomato', 'tomata'],
      ['tomato', 'tomaot'],
      ['a', '']
    ] as const) {
      expect(isOneEdit(a, b), `${a} ${b}`).to.equal(true);
      expect(isOneEdit(b, a), `${b} ${a}`).to.equal(true);
    }
    for (const [a, b] of [
      ['tomato', 'tomato'],
      ['tomato', 'tomattoo'],
      ['tomato', 'otmaot'],
      ['chives', 'chile']
    ] as const)
      expect(isOneEdit(a, b), `${a} ${b}`).to.equal(false);
  });
});
