import { expect } from 'chai';
import { problemWords } from '../../src/words/problems.ts';
import fc from 'fast-check';
import { inField, keptIn, readField, shownIn } from '../../src/core/units/field.ts';
import { area, figure, greensMass, length, mass, seedMass, volume } from '../../src/core/units/format.ts';
import { askComma, parseQuantity, readNumber, unitFactor } from '../../src/core/units/parseQuantity.ts';

const value = (text: string, kind: 'mass' | 'length' | 'volume', unit: string): number => {
  const parsed = parseQuantity(text, kind, unit);
  if (!parsed.ok) throw new Error(problemWords(parsed.problem));
  return parsed.value;
};

describe('typed quantities', () => {
  it('reads what people type', () => {
    expect(value('12.5', 'mass', 'g')).to.equal(12.5);
    expect(value('12,5 g', 'mass', 'g')).to.equal(12.5);
    expect(value(' 1 kg ', 'mass', 'g')).to.equal(1000);
    expect(value('10 in', 'length', 'cm')).to.be.closeTo(25.4, 1e-9);
    expect(value('10"', 'length', 'cm')).to.be.closeTo(25.4, 1e-9);
    expect(value('1/2 tsp', 'volume', 'ml')).to.be.closeTo(2.4645, 1e-3);
    expect(value('1 1/2', 'length', 'in')).to.be.closeTo(3.81, 1e-9);
    expect(value('2½ oz', 'mass', 'g')).to.be.closeTo(70.87, 0.01);
    expect(value('1 lb 2 oz', 'mass', 'g')).to.be.closeTo(510.29, 0.01);
    expect(value('2 pounds, 3 1/2 ounces', 'mass', 'g')).to.be.closeTo(1006.41, 0.01);
    expect(value('3 cups', 'volume', 'ml')).to.be.closeTo(709.76, 0.01);
    expect(value('1 quart', 'volume', 'ml')).to.equal(value('2 pints', 'volume', 'ml'));
    expect(value('8 oz', 'volume', 'ml')).to.be.closeTo(236.59, 0.01);
    expect(value('2 Litres', 'volume', 'ml')).to.equal(2000);
    expect(value('10 inches', 'length', 'cm')).to.be.closeTo(25.4, 1e-9);
    expect(parseQuantity('1 lb 2 cups', 'mass', 'g').ok).to.equal(false);
    expect(parseQuantity('3 ells', 'length', 'cm').ok).to.equal(false);
  });

  it('keeps a value that nobody changed to the last digit, and reads a changed one in the household’s unit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 50_000, noNaN: true }),
        fc.constantFrom('mass', 'length', 'volume', 'density'),
        fc.constantFrom('metric', 'us'),
        (kept, kind, units) => {
          const shown = inField(kept, kind, units);
          expect(readField(shown, kind, units, kept)).to.deep.equal({ ok: true, value: kept });
          const typed = readField(shown, kind, units, null);
          expect(typed.ok && Math.abs(typed.value / kept - 1)).to.be.lessThan(0.006);
        }
      )
    );
    expect(inField(null, 'mass', 'us')).to.equal('');
  });

  it('shows a crop’s figures in either world, and keeps them as the table has them', () => {
    expect(shownIn(21, '°C', 'us')).to.equal('69.8');
    expect(shownIn(3, 'g/cm²', 'us')).to.equal('0.683');
    expect(shownIn(12, 'h', 'us')).to.equal('12');
    for (const unit of ['°C', 'cm', 'g/cm²', 'g/m²', 'h'])
      for (const units of ['metric', 'us'] as const)
        expect(keptIn(Number(shownIn(120, unit, units)), unit, units), unit).to.be.closeTo(120, 0.7);
  });

  it('reads as its own world weighs: tenths of an ounce, and no figure that no tool shows', () => {
    expect([mass(10, 'us'), mass(41.6, 'us'), mass(512, 'us')]).to.deep.equal([
      '0.35 oz',
      '1.5 oz',
      '1.13 lb'
    ]);
    expect([seedMass(11.8, 'us'), seedMass(90.6, 'us')]).to.deep.equal(['11.8 g', '90.6 g (3.2 oz)']);
    expect([length(25, 'us'), length(2, 'us'), length(2.5, 'us')]).to.deep.equal([
      '9.8 in',
      '0.79 in',
      '1 in'
    ]);
    expect([area(450, 'us'), area(450, 'metric')]).to.deep.equal(['69.8 in²', '450 cm²']);
  });

  it('reads seeds on an area in either unit, however it is written', () => {
    const perCm2 = (text: string): number => {
      const parsed = parseQuantity(text, 'density', '/cm²');
      return parsed.ok ? parsed.value : NaN;
    };
    for (const typed of ['11 per in2', '11/in²', '11 seeds per in2', '11 per sq in', '11 per square inch'])
      expect(perCm2(typed), typed).to.be.closeTo(11 / 6.4516, 1e-9);
    for (const typed of ['2', '2 per cm²', '2 seeds/cm2', '2 seeds per sq cm'])
      expect(perCm2(typed), typed).to.equal(2);
    expect(perCm2('2 per foot')).to.be.NaN;
  });

  it('asks where a comma can be both, and reads it where it cannot', () => {
    const asked = parseQuantity('1,200 g', 'mass', 'g');
    expect(asked.ok ? '' : problemWords(asked.problem)).to.equal(
      '“1,200” can be 1200 or 1.2: write the one you mean.'
    );
    expect(readNumber('1,250')).to.equal(null);
    expect(readNumber('1,250', 'decimal')).to.equal(1.25);
    const said = (text: string) => {
      const found = askComma(text);
      return found ? problemWords(found) : '';
    };
    expect([said('12,500 g'), said('1,25'), said('0,250'), said('1,250.5')]).to.deep.equal([
      '“12,500” can be 12500 or 12.5: write the one you mean.',
      '',
      '',
      ''
    ]);
    expect(readNumber('1,250.5')).to.equal(1250.5);
    expect(readNumber('1,250,000')).to.equal(1_250_000);
    expect(readNumber('0,250')).to.equal(0.25);
    expect(readNumber('12,5')).to.equal(12.5);
  });

  it('takes no quantity under nothing, but a number of a scale that has one', () => {
    for (const kind of ['mass', 'length', 'volume', 'density'] as const) {
      const parsed = parseQuantity(
        '-3',
        kind,
        { mass: 'g', length: 'cm', volume: 'ml', density: '/cm²' }[kind]
      );
      expect(parsed.ok ? '' : problemWords(parsed.problem), kind).to.include('without the minus sign');
    }
    expect(readNumber('-3')).to.equal(-3);
  });

  it('says what to do about what it cannot read', () => {
    for (const text of ['', 'a lot', '12 bananas', '1 2 3', '5/0/2', '--3']) {
      const parsed = parseQuantity(text, 'mass', 'g');
      expect(parsed.ok, text).to.equal(false);
      if (!parsed.ok) expect(problemWords(parsed.problem)).to.match(/such as|[Tt]ry/);
    }
  });

  it('reads back what it shows', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 900, noNaN: true }), (grams) => {
        expect(value(mass(grams, 'metric'), 'mass', 'g')).to.be.closeTo(grams, Math.max(0.5, grams * 0.01));
        // Inches are shown to the tenth.
        expect(value(length(grams, 'us'), 'length', 'in')).to.be.closeTo(grams, 0.051 * 2.54);
      })
    );
  });

  it('converts there and back without loss', () => {
    const units = [
      ['mass', 'g'],
      ['mass', 'oz'],
      ['mass', 'lb'],
      ['length', 'in'],
      ['length', 'mm'],
      ['volume', 'tsp'],
      ['volume', 'tbsp'],
      ['volume', 'cup']
    ] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...units),
        fc.double({ min: 0.001, max: 1e5, noNaN: true }),
        ([kind, unit], amount) => {
          const factor = unitFactor(kind, unit)!;
          expect((amount * factor) / factor).to.be.closeTo(amount, amount * 1e-12);
        }
      )
    );
  });

  it('shows greens by the tenth of an ounce, a pinch as one tenth, and nothing as nothing', () => {
    expect(greensMass(20, 'us')).to.equal('0.7 oz');
    expect(greensMass(1, 'us')).to.equal('0.1 oz');
    expect(greensMass(1e-9, 'us')).to.equal('0 oz');
    expect(greensMass(0, 'metric')).to.equal('0 g');
  });

  it('shows about three figures', () => {
    expect([0.123456, 1.2345, 12.345, 123.45].map(figure)).to.deep.equal(['0.123', '1.23', '12.3', '123']);
    expect(volume(1234, 'metric')).to.equal('1.23 L');
    expect(volume(123, 'metric')).to.equal('125 mL');
    expect(volume(250, 'us')).to.equal('1 cup');
    expect(volume(480, 'us')).to.equal('2 cups');
  });
});
