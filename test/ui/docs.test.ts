import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { expect } from 'chai';

const DOCS = ['README.md', 'CONTRIBUTING.md', 'docs/measurements.md', 'docs/model.md', 'docs/operations.md'];
/** Files and folders of the source that are named, such as `core/sowing/project.ts` or `src/core/ahead`. */
const NAMED = /`((?:src|core|contract|words|server|ui|routes|commands|test)\/[\w./()[\]-]+)`/g;

describe('the documents', () => {
  it('name files that are there', () => {
    const gone = DOCS.flatMap((doc) =>
      [...readFileSync(doc, 'utf8').matchAll(NAMED)]
        .map(([, path]) => path!)
        .filter((path) => !existsSync(path) && !existsSync(`src/${path}`))
        .map((path) => `${doc}: ${path}`)
    );
    expect(gone).to.deep.equal([]);
  });

  it('show pictures that are there, and every picture is shown', () => {
    const shown = [
      ...readFileSync('README.md', 'utf8').matchAll(/\((docs\/screenshots\/[\w-]+\.png)\)/g)
    ].map(([, path]) => path!);
    expect(shown.filter((path) => !existsSync(path))).to.deep.equal([]);
    const kept = readdirSync('docs/screenshots').map((name) => `docs/screenshots/${name}`);
    expect(kept.filter((path) => !shown.includes(path))).to.deep.equal([]);
  });

  it('number the sections of the computation, and every citation names one of them', () => {
    const headings = [...readFileSync('docs/model.md', 'utf8').matchAll(/^## (.*)$/gm)].map(
      ([, text]) => text!
    );
    const numbers = headings.map((text) => Number(/^(\d+)\. /.exec(text)?.[1]));
    expect(numbers).to.deep.equal(headings.map((_, nth) => nth + 1));
    const sources = ['src', 'commands', 'test', 'docs'].flatMap((folder) =>
      readdirSync(folder, { recursive: true, encoding: 'utf8' })
        .filter((name) => /\.(ts|svelte|md)$/.test(name))
        .map((name) => `${folder}/${name}`)
    );
    const cited = sources.flatMap((file) =>
      [
        ...readFileSync(file, 'utf8').matchAll(/(?:docs\/model\.md, |\bsections? )(\d+)(?: to (\d+))?/g)
      ].flatMap(([, from, to]) => [from, to ?? from].map((number) => ({ file, number: Number(number) })))
    );
    expect(cited.length).to.be.above(40);
    expect(cited.filter(({ number }) => !numbers.includes(number))).to.deep.equal([]);
  });
});
