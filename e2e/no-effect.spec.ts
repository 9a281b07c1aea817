import { expect } from '@playwright/test';
import { displayOfTag, noEffect, usedDisplay } from '../core/check';
import { TAGS } from '../core/model';
import { test } from './test';

const TRIED: Readonly<Record<string, string>> = {
  'grid-template-columns': '40px 60px',
  'grid-auto-rows': '55px',
  'justify-items': 'end',
  'flex-direction': 'column-reverse',
  'flex-wrap': 'wrap-reverse',
  'justify-content': 'flex-end',
  'align-items': 'flex-end',
  'row-gap': '13px',
  'column-gap': '17px',
  'grid-row-start': '3',
  'grid-column-start': '2',
  'flex-grow': '2',
  'flex-basis': '77px',
  order: '3',
  'align-self': 'flex-end',
  top: '9px',
  left: '11px',
  width: '91px',
  'min-width': '222px',
  height: '83px',
  'margin-top': '19px',
  'aspect-ratio': '3 / 1',
  rotate: '30deg',
  'text-align': 'end',
  'border-top-width': '7px',
  'outline-width': '5px',
};
const DISPLAYS = [
  '',
  'block',
  'inline',
  'inline-block',
  'flex',
  'inline-flex',
  'grid',
  'inline-grid',
];
const AROUND = ['block', 'flex', 'grid'];
const POSITIONS = ['static', 'relative', 'absolute'];

interface Case {
  readonly tag: string;
  readonly around: string;
  readonly said: Readonly<Record<string, string>>;
  readonly property: string;
}

const cases: Case[] = ['div', 'span', 'p', 'a', 'li', 'button'].flatMap((tag) =>
  AROUND.flatMap((around) =>
    DISPLAYS.flatMap((display) =>
      POSITIONS.flatMap((position) =>
        Object.keys(TRIED).map((property) => ({
          tag,
          around,
          said: { position, ...(display === '' ? {} : { display }) },
          property,
        })),
      ),
    ),
  ),
);

test('a declaration that is told to have no effect has none in Chromium, and its mend gives it one', async ({
  page,
}) => {
  const told = cases.flatMap((each) => {
    const box = { tag: each.tag, around: each.around, said: (name: string) => each.said[name] };
    const found = noEffect(each.property, { ...box, display: usedDisplay(box) });
    return found ? [{ ...each, css: TRIED[each.property]!, mend: found.mend }] : [];
  });
  expect(told.length).toBeGreaterThan(1_500);
  await page.goto('about:blank');
  const { effective, unmended } = await page.evaluate((all) => {
    document.head.innerHTML = '<style>body>div{width:400px;height:200px}</style>';
    /** Where everything stands, and how wide its lines are. */
    const look = (root: Element) =>
      [...root.querySelectorAll('*')]
        .map((each) => {
          const { x, y, width, height } = each.getBoundingClientRect();
          const style = getComputedStyle(each);
          // What lies at a point says what lies above.
          return [x, y, width, height, style.outlineWidth, style.outlineStyle === 'none'].join();
        })
        .join(' ');
    const effective: string[] = [];
    const unmended: string[] = [];
    for (const { tag, around, said, property, css, mend } of all) {
      document.body.innerHTML = `<div style="display:${around}"><b>before</b><${tag} id="it">some <i>words</i> <i>more</i></${tag}><b>after</b></div>`;
      const root = document.body.firstElementChild!;
      const it = document.getElementById('it')!;
      for (const [name, value] of Object.entries(said)) it.style.setProperty(name, value);
      const words = `${tag} in ${around}, ${JSON.stringify(said)}: ${property}`;
      const before = look(root);
      it.style.setProperty(property, css);
      const outline = property.startsWith('outline') ? 'outline' : '';
      if (outline === '' && look(root) !== before) effective.push(words);
      if (!mend) continue;
      it.style.setProperty(mend.property, mend.css);
      const mended = look(root);
      it.style.removeProperty(property);
      if (look(root) === mended) unmended.push(words);
    }
    return { effective, unmended };
  }, told);
  expect(effective).toEqual([]);
  // Whether some of them are seen depends on how much room there is, and what else stands there.
  const seen =
    /: (grid-template-columns|flex-direction|column-gap|top|left|width|height|border-top-width)$/;
  expect(unmended.filter((each) => seen.test(each))).toEqual([]);
});

test('every element is laid out as Chromium lays it out where nothing is said (HTML, 15.3)', async ({
  page,
}) => {
  await page.goto('about:blank');
  const shown = await page.evaluate(
    (tags) =>
      tags.map((tag) => {
        const each = document.body.appendChild(document.createElement(tag));
        return [tag, getComputedStyle(each).display] as const;
      }),
    [...TAGS],
  );
  expect(shown.filter(([tag, display]) => displayOfTag(tag) !== display)).toEqual([]);
});
