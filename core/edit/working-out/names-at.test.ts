import { docOf, literal, text, type Source, type TypeSpec } from '../../model';
import { build, Linker } from '../../resolve';
import { asset, component, documentsOf, htmlOf, page, signTokens, TONE } from '../../test';
import { after } from '../../test/after';
import { dataOf } from '../../value';
import { namesAt, typedFor } from '..';

const start = () => {
  const doc = component(
    'card',
    { id: 'root', tag: 'article', children: [{ id: 'picture', tag: 'img' }] },
    { tone: literal({ type: 'choice', value: 'calm' }) },
  );
  doc.properties['tone'] = { ...doc.properties['tone']!, type: TONE };
  return documentsOf(
    doc,
    signTokens,
    asset('hall'),
    { ...asset('yard'), sha256: 'b'.repeat(64) },
    page('home', '/', { tag: 'main', children: [{ component: 'card' }] }),
  );
};
const pathsFor = (wanted: TypeSpec): string[] => {
  const documents = start();
  const card = docOf(documents, 'component', 'card')!;
  return namesAt(documents, card, 'root', wanted)
    .filter(({ source }) => source.is === 'value')
    .map(({ path }) => path);
};

describe('what nobody can write out has a name where it is wanted', () => {
  test('the colours, pictures, pages and themes of the site', () => {
    expect(pathsFor({ kind: 'colour' })).toEqual(
      expect.arrayContaining(['tone.calm', 'tone.loud', 'token.ink']),
    );
    expect(pathsFor({ kind: 'image' })).toEqual(
      expect.arrayContaining(['picture.hall', 'picture.yard']),
    );
    expect(pathsFor({ kind: 'link' })).toContain('to.home');
    expect(pathsFor({ kind: 'theme', of: { plain: true } })).toContain('theme.plain');
    expect(pathsFor({ kind: 'text' })).toEqual(['tone.calm', 'tone.loud']);
  });

  test('a choice drives a picture by it, typed, checked and shown', () => {
    const documents = start();
    const card = docOf(documents, 'component', 'card')!;
    const wanted: TypeSpec = { kind: 'image' };
    const names = namesAt(documents, card, 'picture', wanted);
    const typing = typedFor('tone == tone.calm ? picture.hall : picture.yard', names, wanted);
    expect(typing).toMatchObject({ ok: true, gives: { of: 'image' } });
    const source = (typing as { source: Source }).source;
    const now = after(documents, {
      name: 'setControl',
      args: { doc: 'card', node: 'picture', control: { of: 'attribute', name: 'src' }, source },
    });
    const shown = (site: typeof now) =>
      htmlOf(build(new Linker().link(site, 'home'), dataOf(site), undefined).root);
    expect(shown(now)).toContain('/files/aaaa');
    const loud = after(now, {
      name: 'setDefault',
      args: {
        component: 'card',
        property: 'tone',
        value: literal({ type: 'choice', value: 'loud' }),
      },
    });
    expect(shown(loud)).toContain('/files/bbbb');
    // Of the wrong kind it is told where it stands.
    expect(typedFor('tone == tone.calm ? picture.hall : "yard"', names, wanted).ok).toBe(false);
  });

  test('options of another choice are told, those that are wanted begin with “option.”', () => {
    const documents = start();
    const card = docOf(documents, 'component', 'card')!;
    const wanted: TypeSpec = {
      kind: 'choice',
      options: { a: { label: 'Wide', order: 'a0' }, b: { label: 'Narrow', order: 'a1' } },
    };
    const names = namesAt(documents, card, 'root', wanted);
    expect(typedFor('tone == tone.calm ? option.wide : option.narrow', names, wanted).ok).toBe(
      true,
    );
    expect(typedFor('tone', names, wanted)).toMatchObject({
      ok: false,
      faults: [{ said: { code: 'of-another-choice' } }],
    });
  });
});

test('words that a visitor says are put in place and asked for, and not worked with: nobody knows them when a page is written', () => {
  const doc = component('card', { id: 'root', tag: 'p' }, { said: text(''), other: text('Ada') });
  doc.properties['said'] = { ...doc.properties['said']!, state: {} };
  const names = namesAt(documentsOf(doc), doc, 'root', { kind: 'text' });
  const faults = (typed: string) => {
    const typing = typedFor(typed, names, { kind: 'text' });
    return typing.ok ? [] : typing.faults.map(({ start, end, said }) => [start, end, said.code]);
  };
  for (const typed of ['said', '"Hello " + said', 'empty(said) ? other : said'])
    expect([typed, faults(typed)]).toEqual([typed, []]);
  expect(faults('said == "Ada" ? "you" : said')).toEqual([[0, 4, 'said-by-visitors']]);
  expect(faults('other == "Ada" ? other : said')).toEqual([]);
  expect(faults('string(size(said))')).toEqual([[12, 16, 'said-by-visitors']]);
});
