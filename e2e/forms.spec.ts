import { expect, type Browser, type Page } from '@playwright/test';
import fc from 'fast-check';
import { wrongOf, type Field, type FieldType, type Wrong } from '@sormet/core/forms';
import { SITES_PORT } from './addresses';
import { publishedSite } from './published-site';
import { test } from './test';

/** Longer than it takes a robot. */
const A_WHILE = 1700;

async function withoutScripts(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ javaScriptEnabled: false });
  return context.newPage();
}

test('a visitor writes by keys alone, is told what is wrong in the words of the site, and it is read in the inbox', async ({
  page,
  browser,
}) => {
  const { site, at } = await publishedSite(page, 'letters');
  await page.goto(`${at}/about`);
  const name = page.getByLabel('Your name');
  await name.focus();
  await page.keyboard.press('Enter');
  await expect(name).toBeFocused();
  expect(await name.evaluate((field: HTMLInputElement) => field.validationMessage)).toBe(
    'Please say how we may call you.',
  );
  await page.keyboard.type('Ada <b>Lum</b>');
  expect(await name.evaluate((field: HTMLInputElement) => field.validationMessage)).toBe('');
  await page.keyboard.press('Tab');
  await page.keyboard.type('ada@lum.example');
  await page.keyboard.press('Tab');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Tab');
  await page.keyboard.type('May I help on Thursdays?');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Space');
  await page.waitForTimeout(A_WHILE);
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const said = page.getByRole('status');
  await expect(said).toHaveText('Thank you. It is with us, and one of us will write back.');
  await expect(said).toBeFocused();

  // Without scripts what is wrong is said by the server, and all that was typed stays.
  const plain = await withoutScripts(browser);
  await plain.goto(`${at}/about`);
  await plain.locator('form').evaluate((form: HTMLFormElement) => (form.noValidate = true));
  await plain.getByLabel('Your words').fill('Two\nlines & <i>more</i>');
  await plain.getByRole('button', { name: 'Send it' }).click();
  await expect(plain.getByRole('alert')).toContainText('This was not sent yet');
  await expect(plain.getByLabel('Your name')).toHaveAccessibleDescription(
    'Please say how we may call you.',
  );
  await expect(plain.getByLabel('Your words')).toHaveValue('Two\nlines & <i>more</i>');
  await plain.getByLabel('Your name').fill('Bo');
  await plain.getByLabel('Your address for mail').fill('bo@lum.example');
  await plain.waitForTimeout(A_WHILE);
  await plain.getByRole('button', { name: 'Send it' }).click();
  await expect(plain.getByRole('status')).toContainText('Thank you');
  // A robot fills in everything.
  await plain.goto(`${at}/about`);
  for (const [label, words] of [
    ['Your name', 'Robot'],
    ['Your address for mail', 'r@example.org'],
    ['Your words', 'pills'],
  ] as const)
    await plain.getByLabel(label).fill(words);
  await plain
    .locator('[name=leave]')
    .evaluate((field: HTMLInputElement) => (field.value = 'https://pills.example'));
  await plain.waitForTimeout(A_WHILE);
  await plain.getByRole('button', { name: 'Send it' }).click();
  await expect(plain.getByRole('status')).toContainText('Thank you');
  await plain.context().close();

  await page.goto(`${site}/messages`);
  const rows = page.getByRole('table', { name: 'Messages' }).locator('tbody tr');
  await expect(rows).toHaveCount(2);
  await page.getByRole('button', { name: /Ada <b>Lum/ }).click();
  const read = page.getByRole('article', { name: 'Ada <b>Lum</b>' });
  await expect(read).toContainText('Helping at a shed');
  await expect(read).toContainText('May I help on Thursdays?');
  await expect(page.getByText('unread 1')).toBeVisible();
  await page.getByLabel('Find a message').fill('two');
  await expect(rows).toHaveCount(1);
  await page.getByLabel('Find a message').fill('');
  await expect(rows).toHaveCount(2);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export as CSV' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('messages.csv');
  await page.getByText('held back 1').click();
  await expect(rows).toHaveCount(1);
  await expect(rows).toContainText('filled in what nobody sees');
  await page.getByRole('checkbox', { name: 'Choose Robot' }).check();
  await page.getByRole('button', { name: 'remove' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText('Nothing is held back.')).toBeVisible();
});

const TYPES: readonly FieldType[] = [
  'text',
  'tel',
  'url',
  'email',
  'number',
  'date',
  'time',
  'textarea',
];

/** What people type, what they nearly type, and what nobody does. */
const VALUES = fc.oneof(
  fc.constantFrom(
    ...['', 'a', 'ab c', 'ada@example.org', 'ada@', '@b', 'a@b', 'a..b@c', 'x@-y.z', ' a@b '],
    ...['https://example.org', 'example.org', 'mailto:a@b', 'http://', 'ht tp://x', '/a'],
    ...['0', '1', '1.5', '-3', '.5', '1.', '1e2', '+1', '12', '0.1', '0.3', '1e999'],
    ...['2026-02-28', '2026-02-29', '2024-02-29', '2026-13-01', '0000-01-01', '12026-01-01'],
    ...['00:00', '24:00', '09:30', '09:30:15', '09:30:15.5', '23:59'],
  ),
  fc.string({ unit: 'grapheme', maxLength: 8 }),
);
const optional = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined });
const NUMBERS = ['-2', '0', '1', '10', '2026-01-01', '2026-02-28', '08:00', '20:00', 'x'];
const FIELDS: fc.Arbitrary<Field> = fc
  .record({
    type: fc.constantFrom(...TYPES),
    isRequired: fc.boolean(),
    min: optional(fc.constantFrom(...NUMBERS)),
    max: optional(fc.constantFrom(...NUMBERS)),
    step: optional(fc.constantFrom('1', '2', '0.1', 'any', '0', '7', '30', 'x')),
    pattern: optional(fc.constantFrom('[a-z]+', 'a|bc', '(', '.{3}', '\\p{L}+', 'a)|(b')),
  })
  .map(({ min, max, step, pattern, ...rest }) => ({
    name: 'it',
    label: 'It',
    ...rest,
    ...(min === undefined ? {} : { min }),
    ...(max === undefined ? {} : { max }),
    ...(step === undefined ? {} : { step }),
    ...(pattern === undefined ? {} : { pattern }),
  }));

/** HTML Living Standard, 4.10.21.1, by what each state is called there. */
const STATES: Readonly<Record<string, Wrong>> = {
  valueMissing: 'missing',
  typeMismatch: 'type',
  patternMismatch: 'pattern',
  rangeUnderflow: 'below',
  rangeOverflow: 'above',
  stepMismatch: 'step',
};

test('what is wrong with a field is what Chromium says is wrong with it (HTML, 4.10.21.1: constraint validation)', async ({
  page,
}) => {
  await page.goto(`http://brackenfold.localhost:${SITES_PORT}/no-such-page`);
  const asked = fc.sample(fc.tuple(FIELDS, VALUES), { numRuns: 4000, seed: 23 });
  const told = await page.evaluate(
    (all) =>
      all.map(([field, value]) => {
        const element =
          field.type === 'textarea'
            ? document.createElement('textarea')
            : document.createElement('input');
        if (element instanceof HTMLInputElement) element.type = field.type;
        for (const name of ['min', 'max', 'step', 'pattern'] as const)
          if (field[name] !== undefined) element.setAttribute(name, field[name]);
        element.required = field.isRequired;
        element.value = value;
        const { validity } = element;
        const states: string[] = [];
        for (const state in validity)
          if (state !== 'valid' && validity[state as keyof ValidityState]) states.push(state);
        return { kept: element.value, states };
      }),
    asked,
  );
  const seen = new Set<string>();
  for (const [i, [field, value]] of asked.entries()) {
    const { kept, states } = told[i]!;
    // Of what a type does not take a browser keeps nothing, so nobody can send it; who does all the same is told.
    if (kept === '' && value !== '' && wrongOf(field, value) === 'type') continue;
    const ours = wrongOf(field, kept);
    const theirs = states.map((state) => STATES[state]);
    if (ours) seen.add(ours);
    expect([field, kept, ours ?? 'nothing'], JSON.stringify([field, value])).toEqual([
      field,
      kept,
      theirs.includes(ours) ? ours : (theirs[0] ?? 'nothing'),
    ]);
  }
  expect([...seen].sort()).toEqual([...new Set(Object.values(STATES))].sort());
});
