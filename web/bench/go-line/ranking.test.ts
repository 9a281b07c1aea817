import { ranked, type Choosable } from './ranking';

const of = (verb: string, name: string, note = '', also: string[] = []): Choosable => ({
  value: `${verb} ${name}`,
  verb,
  name,
  note,
  also,
});
const all = [
  of('place', 'Card row', 'Sections/Card row'),
  of('place', 'Join band', 'Sections/Join band'),
  of('place', 'Section', 'elements'),
  of('place', 'Words and picture', 'ready sections'),
  of('place', 'Picture', 'elements', ['img', 'image']),
  of('place', 'Article', 'Sections/Article'),
  of('place', 'Link', 'elements', ['a', 'anchor']),
  of('place', 'Opening', 'ready sections', ['hero']),
  of('go', '/sheds', 'Sheds'),
  of('go', 'definition of Card row'),
  of('do', 'make component', 'm'),
];
const names = (typed: string, recent: readonly string[] = []) =>
  ranked(all, typed, recent).map(({ value }) => value);

describe('the go line offers', () => {
  test('the nearest name first, before what only lies in a folder of that name', () => {
    expect(names('place section')[0]).toBe('place Section');
    expect(names('place section')).toContain('place Card row');
    expect(names('picture')[0]).toBe('place Picture');
    expect(names('card row')[0]).toBe('place Card row');
  });

  test('what is meant where a letter is missing, doubled or another', () => {
    expect(names('plce joinband')[0]).toBe('place Join band');
    expect(names('pictuer')).toContain('place Picture');
    expect(names('make componnent')[0]).toBe('do make component');
  });

  test('what the trade and HTML call so, a whole word of theirs before a name that begins so', () => {
    expect(names('a')[0]).toBe('place Link');
    expect(names('img')[0]).toBe('place Picture');
    expect(names('hero')[0]).toBe('place Opening');
    expect(names('place image')[0]).toBe('place Picture');
    expect(names('art')[0]).toBe('place Article');
  });

  test('what is typed as it stands: no mark means anything else', () => {
    expect(names('!section')).not.toContain('go /sheds');
    expect(names('^card')).not.toContain('go /sheds');
  });

  test('only what every word fits', () => {
    expect(names('place sheds')).toEqual([]);
    expect(names('go sheds')).toEqual(['go /sheds']);
  });

  test('what was chosen lately first, with nothing typed or where two are as near', () => {
    expect(names('', ['go /sheds', 'do make component']).slice(0, 2)).toEqual([
      'go /sheds',
      'do make component',
    ]);
    const [first] = names('card', ['go definition of Card row']);
    expect(first).toBe('place Card row');
    expect(names('band', ['place Join band'])[0]).toBe('place Join band');
  });
});
