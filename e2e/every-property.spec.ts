import { expect, type Page } from '@playwright/test';
import { expand, PROPERTIES, readLine } from '../core/style';
import { test } from './test';

/** Values of every sort, of which each property takes some. */
const VALUES = (
  'auto|none|normal|0|1|3|-2|0.5|12px|1.5rem|50%|-4px|2fr|45deg|0.3s|200ms|red|#0b6b6f80|rgb(1 2 3 / 50%)|transparent|' +
  'currentcolor|inherit|initial|unset|revert|1px 2px|1px 2px 3px|1px 2px 3px 4px|10px / 5px|1px 2px / 3px|thin|medium|solid|' +
  '1px solid red|dashed 2px|center|start|end|start end|space-between|stretch|baseline|left|top|top left|10% 20%|' +
  'block|flex|inline-grid|contents|absolute|sticky|row|column-reverse|wrap|column wrap|both|hidden|visible|clip|scroll|' +
  'hidden auto|1 / 3|span 2|foo|foo / bar|1 / 2 / 3 / 4|2 / span 3|repeat(3,1fr)|1fr 2fr|minmax(0,1fr) auto|"a b" "c c"|' +
  '"a b" 40px "c d" / 1fr 2fr|[x] 1fr [y] "a" [z]|auto-flow / 1fr 2fr|1fr / auto-flow dense 2rem|100px 1fr / 2fr|dense|' +
  'linear-gradient(red,blue)|linear-gradient(red,blue) center / cover no-repeat fixed, red|' +
  'radial-gradient(red,blue) 1px 2px repeat-x border-box padding-box, #fff|cover|contain|repeat-x|space round|' +
  'color 0.2s ease-in 1s, opacity 1s|opacity|all 1s|ease-in-out|steps(3,end)|cubic-bezier(0.1,0.7,1,0.1)|' +
  'display 1s allow-discrete|spin 1s linear infinite|a 1s 2s 3 reverse both paused, b 2s|infinite|alternate|both|paused|' +
  'Georgia,serif|"A B",serif|italic 700 1rem/1.5 "A B",serif|1rem serif|small-caps condensed 2em/2 Georgia|bold|300|italic|' +
  'small-caps|uppercase|nowrap|pre-line|balance|underline|underline dotted red|underline overline 2px|line-through wavy|' +
  'square inside|none inside|disc|upper-roman|pointer|grab|rotate(3deg)|translate(1px,2px) scale(2)|blur(4px)|' +
  '0 4px 16px #0002|inset 1px 1px red, 2px 2px blue|polygon(0 0,100% 0,50% 100%)|circle(50%)|16 / 9|3 12rem|12rem 3|12rem|' +
  'min-content|fit-content(10px)|calc(100% - 20px)|calc(2 * 3)|min(50%,20rem)|clamp(1rem,2vw + 1rem,3rem)|1 1 0|2 0 10rem|' +
  'x mandatory|always|avoid|size|layout paint|multiply|isolate|smooth|y|vertical-rl|rtl|text|fill-box|preserve-3d|manual|' +
  'from-font|under|each-line 2px|"x"|"(" ")"|a 1|a 1 b 2|under left|filled circle red|color|strict|thick double red'
).split('|');

// Each value that does not fit makes an error, and Playwright looks up every line of its trace.
test.beforeAll(() => {
  Error.stackTraceLimit = 0;
});
test.afterAll(() => {
  Error.stackTraceLimit = 10;
});

interface Case {
  readonly property: string;
  readonly value: string;
}

/** What Chromium takes and the specifications do not, or have only lately: refused here, with a reason. */
const ONLY_IN_CHROMIUM =
  /^(timeline-trigger|margin-trim|overflow-anchor|overflow-clip-margin|font-variant: text|(c?[xy]|r[xy]?): (calc|-))/;

/** What the specifications have and Chromium does not take yet, and what it tells apart only when it is used. */
const NOT_YET_IN_CHROMIUM = new RegExp(
  '^(' +
    '[a-z-]+: fit-content\\(10px\\)|break-(after|before): always|container(-name)?: none inside|content: contents|' +
    'font-feature-settings: "x"|grid(-template|-template-areas)?: "\\(" "\\)"|hyphenate-limit-chars: |' +
    'image-rendering: smooth|initial-letter: |overflow-clip-margin: |ruby-position: alternate|speak: |stroke-(dasharray|width): -|' +
    'text-autospace: auto|text-emphasis-position: auto|view-transition-(class: none inside|name: auto)|will-change: none)',
);

const knows = { tokens: {}, widths: {}, width: 'base', state: undefined } as const;

/** Of properties and values those that Chromium takes. */
function taken(page: Page, cases: readonly Case[]): Promise<Case[]> {
  return page.evaluate(
    (all) => all.filter(({ property, value }) => CSS.supports(property, value)),
    cases,
  );
}

test('every property, by its whole name, declares what Chromium makes of it', async ({ page }) => {
  await page.goto('about:blank');
  // Half of the values for each property, the other half for the next.
  const all = PROPERTIES.flatMap((property, at) =>
    VALUES.filter((_, i) => (i + at) % 2 === 0).map((value) => ({ property, value })),
  );
  const cases = await taken(page, all);
  const refused: string[] = [];
  const declared: (Case & { longhands: Record<string, string> })[] = [];
  for (const { property, value } of cases) {
    const read = readLine(`${property} ${value}`, knows);
    if (!read.ok) {
      refused.push(`${property}: ${value}`);
      continue;
    }
    if (read.property !== property) throw new Error(`${property} was read as ${read.property}`);
    const expanded = expand(property, read.css);
    if (!expanded.ok) throw new Error(`${property}: ${value}`);
    declared.push({ property, value, longhands: expanded.longhands });
  }
  expect(new Set(declared.map(({ property }) => property)).size).toBeGreaterThan(480);
  expect(declared.length).toBeGreaterThan(3_200);
  expect(refused.filter((each) => !ONLY_IN_CHROMIUM.test(each))).toEqual([]);
  const others = await page.evaluate((declarations) => {
    const made = document.createDocumentFragment();
    const pairs = declarations.map(({ property, value, longhands }) => {
      const [theirs, ours] = [document.createElement('i'), document.createElement('i')];
      theirs.style.cssText = `${property}:${value}`;
      ours.style.cssText = Object.entries(longhands)
        .map(([name, css]) => `${name}:${css}`)
        .join(';');
      for (const each of [theirs, ours])
        made.appendChild(document.createElement('div')).appendChild(each);
      return [theirs, ours] as const;
    });
    // Nothing is laid out: computed values are compared, not boxes.
    document.body.style.display = 'none';
    document.body.replaceChildren(made);
    return declarations.flatMap(({ property, value }, i) => {
      const [theirs, ours] = pairs[i]!;
      // What a shorthand resets and cannot say is left alone here: all else is the same.
      const names = new Set(ours.style.length > 0 ? ours.style : theirs.style);
      const [a, b] = [getComputedStyle(theirs), getComputedStyle(ours)];
      return [...names].flatMap((name) => {
        const [one, other] = [a.getPropertyValue(name), b.getPropertyValue(name)];
        return one === other ? [] : [`${property}: ${value} → ${name}: ${one}, here ${other}`];
      });
    });
  }, declared);
  expect(others).toEqual([]);
});

test('what Chromium does not take is not taken here', async ({ page }) => {
  await page.goto('about:blank');
  const known = new Set(
    (
      await taken(
        page,
        PROPERTIES.map((property) => ({ property, value: 'inherit' })),
      )
    ).map(({ property }) => property),
  );
  const read = PROPERTIES.filter((property) => known.has(property)).flatMap((property, at) =>
    // An eighth of them for each property, another one for the next.
    VALUES.filter((_, i) => (i + at) % 8 === 0).flatMap((value) => {
      const line = readLine(`${property} ${value}`, knows);
      return line.ok ? [{ property, value: line.css }] : [];
    }),
  );
  const takes = new Set(
    (await taken(page, read)).map(({ property, value }) => `${property}: ${value}`),
  );
  const wrong = read
    .map(({ property, value }) => `${property}: ${value}`)
    .filter((each) => !takes.has(each));
  expect(read.length).toBeGreaterThan(750);
  expect(wrong.filter((each) => !NOT_YET_IN_CHROMIUM.test(each))).toEqual([]);
});
