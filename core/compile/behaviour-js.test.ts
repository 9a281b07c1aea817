import { parse } from 'acorn';
import { behaviourJs } from '.';

const yesNo = [false, true];
const all = yesNo.flatMap((more) =>
  yesNo.flatMap((happenings) =>
    yesNo.flatMap((keys) =>
      yesNo.flatMap((wrong) => yesNo.map((tells) => ({ more, happenings, keys, wrong, tells }))),
    ),
  ),
);

test('whatever a page needs of it, the script is one (ECMA-262 as acorn reads it), of letters that every encoding has', () => {
  for (const needs of all) {
    const script = behaviourJs(needs);
    expect(() => parse(script, { ecmaVersion: 2023 })).not.toThrow();
    // oxlint-disable-next-line no-control-regex -- that is what is asked
    expect(script).toMatch(/^[\x00-\x7f]*$/);
  }
});

test('what is published tells nobody what happens in it; a preview does', () => {
  for (const needs of all) expect(/postMessage|\bT\(/.test(behaviourJs(needs))).toBe(needs.tells);
});

test('a page loads no part that it does not need', () => {
  const less = { more: false, happenings: false, keys: false, wrong: false };
  const little = behaviourJs(less);
  expect(little).not.toContain('fetch(');
  expect(little).not.toContain('setInterval');
  expect(behaviourJs({ ...less, more: true })).not.toContain('setInterval');
  expect(behaviourJs({ ...less, happenings: true })).toContain('setInterval');
});

test('nothing in it makes HTML of words: what they are put into is escaped, and no text becomes a script', () => {
  const whole = behaviourJs({ more: true, happenings: true, keys: true, wrong: false });
  expect(whole).not.toMatch(/eval|Function\(|document\.write|insertAdjacentHTML|outerHTML/);
  expect(whole.match(/innerHTML=/g)).toHaveLength(1);
});
