import { readdirSync, readFileSync } from 'node:fs';
import { expect } from 'chai';

/** Names that a framework asks for by name, in each file of a kind. */
const ASKED_FOR = new Set(['handleError', 'match']);
const EXPORTED = /^export (?:async )?(?:const|function\*?|class|interface|type) ([A-Za-z_$][\w$]*)/gm;

describe('exported names', () => {
  it('mean one thing each, in the whole of the source', () => {
    const places = new Map<string, string[]>();
    for (const file of readdirSync('src', { recursive: true, encoding: 'utf8' })) {
      if (!file.endsWith('.ts') || file.startsWith('routes/')) continue;
      for (const [, name] of readFileSync(`src/${file}`, 'utf8').matchAll(EXPORTED))
        places.set(name!, [...(places.get(name!) ?? []), file]);
    }
    expect(places.size).to.be.above(1000);
    const twice = [...places].filter(([name, files]) => files.length > 1 && !ASKED_FOR.has(name));
    expect(twice).to.deep.equal([]);
  });
});
