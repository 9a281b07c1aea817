import { expect, type Page } from '@playwright/test';
import { PageCompiler } from '@sormet/core/compile';
import {
  addressesOf,
  literal,
  text,
  type Acts,
  type ActsWhen,
  type Source,
} from '@sormet/core/model';
import { Linker, prepare, type Held } from '@sormet/core/resolve';
import type { Branch } from '@sormet/core/ready';
import { documentsOf, loading, means, page as pageDoc } from '@sormet/core/test';
import { dataOf } from '@sormet/core/value';
import { bothBodies } from './as-written';
import { test } from './test';

/**
 * What is done one after the other, in Chromium: waiting, asking, failing, and all that can be done to an element. Pages are
 * what is compiled, served from a host of their own with the policy that they are published with.
 */

const HOST = 'http://acts.test';
const asks = (address: string): Source => ({
  is: 'acts',
  acts: { asked: { order: 'a0', do: 'ask', address: text(address), post: true } },
});

interface Served {
  readonly held: (held: Held) => string;
}

/** A page of some elements, opened; what is asked of it is answered. */
async function open(
  page: Page,
  children: readonly Branch[],
  answers: Readonly<Record<string, { status: number; body: unknown }>> = {},
): Promise<Served> {
  const documents = documentsOf(loading, pageDoc('home', '/', { tag: 'main', children }));
  const compiled = new PageCompiler(documents, means(new Linker())).compile(
    addressesOf(documents)[0]!,
  );
  await page.route(`${HOST}/**`, async (route) => {
    const { pathname } = new URL(route.request().url());
    if (pathname === '/')
      return route.fulfill({
        contentType: 'text/html',
        body: compiled.html,
        headers: {
          'content-security-policy':
            "default-src 'none'; script-src 'self'; style-src 'self'; style-src-attr 'unsafe-inline'; connect-src 'self'",
        },
      });
    if (pathname === compiled.css.path)
      return route.fulfill({ contentType: 'text/css', body: compiled.css.text });
    if (pathname === compiled.script?.path)
      return route.fulfill({ contentType: 'text/javascript', body: compiled.script.text });
    const answer = answers[pathname];
    if (!answer) return route.abort();
    await new Promise((done) => setTimeout(done, 150));
    return route.fulfill({
      status: answer.status,
      contentType: 'application/json',
      body: JSON.stringify(answer.body),
    });
  });
  await page.goto(`${HOST}/`);
  const template = prepare(new Linker().link(documents, 'home'), dataOf(documents));
  return { held: (held) => template.write(undefined, template.first(undefined), { held }).html };
}

const now =
  (is: string, said: string): Held =>
  (instance, name) =>
    instance > 0
      ? undefined
      : name.endsWith('now')
        ? { type: 'choice', value: is }
        : { type: 'text', value: said };

test('a button waits while it does what it was given, is free again afterwards, and says what was answered where that failed', async ({
  page,
}) => {
  const odd = 'All <b>benches</b> & "stools"\u00a0are taken';
  const served = await open(
    page,
    [
      { component: 'loading', values: { 'loading-does': asks('/full') } },
      { component: 'loading', values: { 'loading-does': asks('/free') } },
      { component: 'loading' },
    ],
    { '/full': { status: 409, body: { said: odd } }, '/free': { status: 200, body: {} } },
  );
  const [full, free, none] = await page.getByRole('button').all();
  const posted = page.waitForRequest(`${HOST}/full`);
  await full!.focus();
  await page.keyboard.press('Enter');
  expect((await posted).method()).toBe('POST');
  // While it waits.
  await expect(full!).toHaveText('…Book');
  await expect(full!).toHaveAttribute('aria-busy', 'true');
  await page.keyboard.press('Enter');
  await expect(page.getByText('It said:').first()).toBeVisible();
  // As it would be if it were written anew, with words of somebody else in it as words.
  const [is, anew] = await bothBodies(page, served.held(now('failed', odd)));
  expect(is).toBe(anew);
  await expect(page.locator('p').first()).toHaveText(`It said: ${odd}`);
  await expect(page.locator('p').first()).toHaveAttribute('title', odd);
  await expect(page.locator('b')).toHaveCount(0);
  await expect(full!).toBeFocused();
  await expect(full!).not.toHaveAttribute('aria-busy');
  // What came of it is said to who does not see it (WAI-ARIA 1.2, status).
  await expect(page.getByRole('status')).toHaveText(`It said: ${odd}`);

  await free!.click();
  await expect(free!).toHaveText('…Book');
  await expect(free!).toHaveText('Book', { useInnerText: true });
  // What was given nothing to do is free at once.
  await none!.click();
  await expect(none!).toHaveText('Book', { useInnerText: true });
});

test('what cannot be reached fails as what is refused does', async ({ page }) => {
  await open(page, [{ component: 'loading', values: { 'loading-does': asks('/nowhere') } }]);
  await page.getByRole('button').click();
  await expect(page.locator('p')).toHaveText('It said: nothing');
});

/** A button of the page that does something when it is pressed. */
const doing = (words: string, acts: Acts): Branch => ({
  tag: 'button',
  text: words,
  whens: { press: { order: 'a0', on: 'press', acts } },
});

test('elements are opened, closed, focused and scrolled to; a link is followed; words are copied', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'], { origin: HOST });
  const to = (href: string) => literal({ type: 'link', value: { to: 'address', href } });
  await open(page, [
    doing('open', { a: { order: 'a0', do: 'open', node: 'box' } }),
    doing('unfold', { a: { order: 'a0', do: 'open', node: 'fold' } }),
    doing('focus', { a: { order: 'a0', do: 'focus', node: 'far' } }),
    doing('scroll', { a: { order: 'a0', do: 'scroll', node: 'far' } }),
    doing('go', { a: { order: 'a0', do: 'go', to: to('#far') } }),
    {
      id: 'box',
      tag: 'dialog',
      children: [
        { tag: 'p', text: 'In the dialog' },
        doing('close', { a: { order: 'a0', do: 'close', node: 'box' } }),
      ],
    },
    {
      id: 'fold',
      tag: 'details',
      children: [
        { tag: 'summary', text: 'Fold' },
        { tag: 'p', text: 'In the fold' },
      ],
    },
    { tag: 'div', attributes: { title: text('room') }, style: { height: { css: '3000px' } } },
    { id: 'far', tag: 'p', attributes: { id: text('far') }, text: 'Far away' },
  ]);
  await page.getByRole('button', { name: 'open' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.getByRole('button', { name: 'close' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  // Closed, the focus is where it was (HTML Living Standard, 4.11.4: the dialog element).
  await expect(page.getByRole('button', { name: 'open' })).toBeFocused();
  await page.getByRole('button', { name: 'unfold' }).click();
  await expect(page.getByText('In the fold')).toBeVisible();
  await page.getByRole('button', { name: 'scroll' }).click();
  await expect(page.getByText('Far away')).toBeInViewport();
  await page.getByRole('button', { name: 'focus' }).click();
  await expect(page.getByText('Far away')).toBeFocused();
  await page.getByRole('button', { name: 'go' }).click();
  await expect(page).toHaveURL(`${HOST}/#far`);
});

test('words are copied; what the browser does not allow fails, and what is done then is done', async ({
  page,
  context,
}) => {
  const copying = doing('copy', {
    a: {
      order: 'a0',
      do: 'copy',
      words: text('A bench & "more"'),
      failing: { b: { order: 'a0', do: 'open', node: 'fold' } },
    },
  });
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await open(page, [copying, fold('fold', 'Refused')]);
  await page.evaluate(() => {
    const written: string[] = [];
    Object.defineProperty(navigator, 'clipboard', {
      value: {
        writeText: (words: string) => {
          written.push(words);
          document.title = words;
          return written.length > 1 ? Promise.reject(new Error('no')) : Promise.resolve();
        },
      },
    });
  });
  await page.getByRole('button', { name: 'copy' }).click();
  await expect(page).toHaveTitle('A bench & "more"');
  await expect(page.getByText('in Refused')).toBeHidden();
  await page.getByRole('button', { name: 'copy' }).click();
  await expect(page.getByText('in Refused')).toBeVisible();
});

/** Something that can be opened. */
const fold = (id: string, name: string): Branch => ({
  id,
  tag: 'details',
  children: [
    { tag: 'summary', text: name },
    { tag: 'p', text: `in ${name}` },
  ],
});

/** An element that opens a fold when something happens to it. */
const opening = (when: Omit<ActsWhen, 'order' | 'acts'>, id: string, more: Branch): Branch => ({
  ...more,
  whens: {
    only: { ...when, order: 'a0', acts: { a: { order: 'a0', do: 'open', node: id } } },
  },
});

test.describe('whatever happens', () => {
  test.use({ hasTouch: true });

  test('is told apart: keys, the pointer, what is changed, seen and swiped, time, and the opening of the page', async ({
    page,
  }) => {
    const box = (words: string): Branch => ({ tag: 'button', text: words });
    await open(page, [
      opening({ on: 'begin' }, 'begun', box('begin')),
      opening({ on: 'key', key: 'ArrowRight' }, 'keyed', box('key')),
      opening({ on: 'enter' }, 'entered', box('enter')),
      opening({ on: 'leave' }, 'left', box('leave')),
      opening({ on: 'change' }, 'changed', {
        tag: 'input',
        attributes: { 'aria-label': text('change'), type: text('checkbox') },
      }),
      opening({ on: 'swipe', way: 'left' }, 'swiped', box('swipe')),
      opening({ on: 'time', seconds: 0.3 }, 'timed', box('time')),
      fold('begun', 'Begun'),
      fold('keyed', 'Keyed'),
      fold('entered', 'Entered'),
      fold('left', 'Left'),
      fold('changed', 'Changed'),
      fold('swiped', 'Swiped'),
      fold('timed', 'Timed'),
      fold('seen', 'Seen'),
      { tag: 'div', style: { height: { css: '3000px' } } },
      opening({ on: 'view' }, 'seen', { tag: 'p', text: 'far away' }),
    ]);
    const inside = (name: string) => page.getByText(`in ${name}`);
    await expect(inside('Begun')).toBeVisible();
    await expect(inside('Timed')).toBeVisible();
    await page.getByRole('button', { name: 'key' }).focus();
    await page.keyboard.press('ArrowLeft');
    await expect(inside('Keyed')).toBeHidden();
    await page.keyboard.press('ArrowRight');
    await expect(inside('Keyed')).toBeVisible();
    await page.getByRole('button', { name: 'enter' }).hover();
    await expect(inside('Entered')).toBeVisible();
    await page.getByRole('button', { name: 'leave' }).hover();
    await expect(inside('Left')).toBeHidden();
    await page.mouse.move(5, 600);
    await expect(inside('Left')).toBeVisible();
    await page.getByRole('checkbox', { name: 'change' }).check();
    await expect(inside('Changed')).toBeVisible();
    await expect(inside('Seen')).toBeHidden();
    await page.getByText('far away').scrollIntoViewIfNeeded();
    await expect(inside('Seen')).toBeVisible();
    // Touch Events (W3C), as a finger makes them.
    const swiped = page.getByRole('button', { name: 'swipe' });
    await swiped.scrollIntoViewIfNeeded();
    const { x, y } = (await swiped.boundingBox())!;
    const session = await page.context().newCDPSession(page);
    const finger = async (way: number) => {
      await session.send('Input.dispatchTouchEvent', {
        type: 'touchStart',
        touchPoints: [{ x: x + 20, y: y + 8 }],
      });
      await session.send('Input.dispatchTouchEvent', {
        type: 'touchMove',
        touchPoints: [{ x: x + 20 + way, y: y + 9 }],
      });
      await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    };
    await finger(80);
    await expect(inside('Swiped')).toBeHidden();
    await finger(-80);
    await expect(inside('Swiped')).toBeVisible();
  });

  test('nothing goes by time where less motion is asked for, or somebody is at it', async ({
    page,
  }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await open(page, [
      opening({ on: 'time', seconds: 0.2 }, 'timed', { tag: 'button', text: 'time' }),
      fold('timed', 'Timed'),
    ]);
    await page.waitForTimeout(900);
    await expect(page.getByText('in Timed')).toBeHidden();
    await page.getByRole('button', { name: 'time' }).focus();
    await page.emulateMedia({ reducedMotion: 'no-preference' });
    await page.waitForTimeout(900);
    await expect(page.getByText('in Timed')).toBeHidden();
    await page.getByRole('button', { name: 'time' }).blur();
    await expect(page.getByText('in Timed')).toBeVisible();
  });
});
