import { readdirSync } from 'node:fs';
import { expect } from 'chai';
import { isSchema, type AnySchema } from 'yup';
import { check } from '../../src/contract/schemas/check.ts';
import { planSchema } from '../../src/contract/schemas/ahead.ts';
import { bodySchemas } from '../../src/contract/schemas/event.ts';
import { tooLongIn, unboundedIn } from '../../src/contract/schemas/lengths.ts';
import { nameKey, plainName } from '../../src/contract/text.ts';

describe('lengths', () => {
  it('bound every list of every schema', async () => {
    const all: [string, AnySchema][] = Object.entries(bodySchemas);
    for (const file of readdirSync('src/contract/schemas')) {
      const exported = (await import(`../../src/contract/schemas/${file}`)) as Record<string, unknown>;
      for (const [name, value] of Object.entries(exported))
        if (isSchema(value)) all.push([`${file} ${name}`, value as AnySchema]);
    }
    expect(all.length).to.be.above(40);
    expect(
      all.flatMap(([name, schema]) => unboundedIn(schema).map((path) => `${name}: ${path}`))
    ).to.deep.equal([]);
  });

  it('are asked before any item is read', () => {
    let reads = 0;
    const item = new Proxy({}, { get: () => (reads += 1), has: () => true });
    const checked = check(planSchema, { begin: Array.from({ length: 81 }, () => item) });
    expect(checked).to.deep.equal({ ok: false, errors: { begin: 'Take at most 80 changes at once.' } });
    expect(reads).to.equal(0);
  });

  it('are asked of texts that a list or an object would be read from', () => {
    const text = JSON.stringify(Array.from({ length: 500 }, () => ({})));
    expect(tooLongIn(planSchema, { begin: text })!.path).to.equal('begin');
  });
});

describe('names', () => {
  it('stand in one line, without what no screen shows', () => {
    expect(plainName(' Nela\r\n of\u2028the\u0007 balcony\u200b ')).to.equal('Nela of the balcony');
    // Joiners are letters of some scripts and pictures.
    expect(plainName('\u{1F469}\u200D\u{1F33E}')).to.equal('\u{1F469}\u200D\u{1F33E}');
  });

  it('are the same name, however they are written', () => {
    for (const other of ['ana', ' ANA ', 'A\u200bna', 'A\u00adna', 'An\ufe0fa', 'Ａｎａ', 'A\u2060na'])
      expect(nameKey(other), JSON.stringify(other)).to.equal('ana');
    expect(nameKey('Ana  Lia')).to.equal(nameKey('Ana\u00a0Lia'));
    expect(nameKey('Ana')).not.to.equal(nameKey('Anna'));
  });
});
